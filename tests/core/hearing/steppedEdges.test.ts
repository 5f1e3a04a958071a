import { describe, expect, it } from 'vitest'
import { steppedEdges } from '#core/hearing'
import { seededRandom } from '#core/virtual'

const STEP_DB = 0.5
const up = (level: number) => ({ fromDbm: level - STEP_DB, toDbm: level })
const down = (level: number) => ({ fromDbm: level, toDbm: level + STEP_DB })

/** Edges with a known middle that jump about it, seen on the steps of a generator. */
function simulated(random: () => number, jitterDb: number, rounds: number) {
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const [opens, closes, grid] = [-113 + random(), -116 + random(), random() * STEP_DB]
  const times = Array.from({ length: rounds })
  const onGrid = (at: number, to: 'ceil' | 'floor') => Math[to]((at - grid) / STEP_DB) * STEP_DB + grid
  return {
    apart: opens - closes,
    found: steppedEdges(
      times.map(() => up(onGrid(opens + jitterDb * gauss(), 'ceil'))),
      times.map(() => down(onGrid(closes + jitterDb * gauss(), 'floor'))),
    ),
  }
}

describe('edges that were looked for in steps', () => {
  it('lie in the middle of the step between which they were seen', () => {
    const { opening, closing, apart } = steppedEdges([up(-113)], [down(-117)])
    expect(opening.value).toBeCloseTo(-113.25, 6)
    expect(closing.value).toBeCloseTo(-116.75, 6)
    expect(apart.value).toBeCloseTo(3.5, 6)
  })

  it('are somewhere in the step when they always fall on the same: a rectangle at most, two of them a triangle', () => {
    const many = 30
    const { opening, apart } = steppedEdges(
      Array.from({ length: many }, () => up(-113)),
      Array.from({ length: many }, () => down(-117)),
    )
    // 95 % of a rectangular ±0.25 dB are ±0.2375, of the triangular ±0.5 dB of both ±(1 − √0.05)·0.5.
    expect(opening.halfRange).toBeLessThan(0.24)
    expect(opening.halfRange).toBeGreaterThan(0.12)
    expect(apart.halfRange).toBeLessThan(0.5 * (1 - Math.sqrt(0.05)) + 0.01)
    expect(apart.halfRange).toBeGreaterThan(0.2)
  })

  it('are known as the mean of ten is when they scatter over many steps: 2.26·s/√10', () => {
    const levels = [-112, -114, -113, -112.5, -113.5, -111.5, -114.5, -113, -113, -113]
    const mean = levels.reduce((sum, one) => sum + one, 0) / 10
    const s = Math.sqrt(levels.reduce((sum, one) => sum + (one - mean) ** 2, 0) / 9)
    const { opening } = steppedEdges(levels.map(up), [])
    expect(opening.value).toBeCloseTo(mean - STEP_DB / 2, 2)
    expect(opening.halfRange / ((2.262 * s) / Math.sqrt(10))).toBeGreaterThan(0.85)
    expect(opening.halfRange / ((2.262 * s) / Math.sqrt(10))).toBeLessThan(1.05)
  })

  it.each([0.08, 0.25, 0.5])('three rounds with a scatter of %f dB: the range holds the truth', jitterDb => {
    const random = seededRandom(7)
    let held = 0
    let range = 0
    const trials = 400
    for (let i = 0; i < trials; i++) {
      const { apart, found } = simulated(random, jitterDb, 3)
      if (Math.abs(found.apart.value - apart) <= found.apart.halfRange) held++
      range += found.apart.halfRange / trials
    }
    expect(held / trials).toBeGreaterThan(0.92)
    expect(held / trials).toBeLessThan(0.985)
    expect(range).toBeLessThan(1.2)
  })
})
