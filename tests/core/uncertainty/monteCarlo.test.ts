import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { describe, expect, it } from 'vitest'
import {
  contribution,
  createDrawingRules,
  type Distribution,
  drawnPart,
  monteCarlo,
  simulatedFromParts,
  simulationParts,
} from '#core/uncertainty'
import { drawSums } from '#core/uncertainty/drawSums'
import { RandomIntegers } from '#core/uncertainty/randomIntegers'

const only = (distribution: Distribution, halfWidth = 2, parameter = 0) =>
  contribution({ id: 'one', group: 'part', label: 'one', distribution, halfWidth, parameter })

/** The same draws worked out with the platform's own cosine: the truth a table of cosines is held against. */
function mean(trials: number, draw: (next: () => number) => number[]): number {
  const random = xoroshiro128plus(1)
  const drawn: number[] = []
  while (drawn.length < trials) drawn.push(...draw(() => random.next()))
  return drawn.slice(0, trials).reduce((sum, value) => sum + value, 0) / trials
}

describe('numbers drawn in blocks', () => {
  it.each([1, 20261124, -7])('are the sequence of pure-rand’s xoroshiro128plus, seed %i', seed => {
    const reference = xoroshiro128plus(seed)
    const wanted = Array.from({ length: 5000 }, () => reference.next())
    const one = new RandomIntegers(seed)
    expect(wanted.map(() => one.next())).toEqual(wanted)
    const mixed = new RandomIntegers(seed)
    const block = new Int32Array(3000)
    const first = [mixed.next(), mixed.next()]
    mixed.fill(block)
    const rest = Array.from({ length: 1998 }, () => mixed.next())
    expect([...first, ...block, ...rest]).toEqual(wanted)
  })
})

describe('streams of one seed', () => {
  it.each([1, 2, 3])('%i: as many jumps of 2⁶⁴ numbers away, as pure-rand makes them', stream => {
    const reference = xoroshiro128plus(5)
    for (let i = 0; i < stream; i++) reference.jump()
    const one = new RandomIntegers(5, stream)
    const wanted = Array.from({ length: 3000 }, () => reference.next())
    expect(wanted.map(() => one.next())).toEqual(wanted)
  })

  it('have nothing to do with each other: of ten thousand pairs no more agree in sign than chance allows', () => {
    const signs = [0, 1, 2, 3].map(stream => {
      const one = new RandomIntegers(1, stream)
      return Array.from({ length: 10_000 }, () => Math.sign(one.next()))
    })
    for (const [i, one] of signs.entries())
      for (const other of signs.slice(i + 1)) {
        const agree = one.filter((sign, n) => sign === other[n]).length
        // Four standard deviations of a fair coin's ten thousand throws.
        expect(Math.abs(agree - 5000)).toBeLessThan(4 * 50)
      }
  })

  it.each([100, 1_000_000, 99_999, 1_000_003])('%i trials: none is lost or drawn twice', trials => {
    const parts = simulationParts({ trials, seed: 7 })
    expect(parts.map(({ stream }) => stream)).toEqual([0, 1, 2, 3])
    expect(parts.reduce((sum, part) => sum + part.trials, 0)).toBe(trials)
    const counts = parts.map(part => part.trials)
    expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1)
    expect(parts.every(({ seed }) => seed === 7)).toBe(true)
  })

  it('together are one simulation: of an even error as wide as it is (a/√3, ±0.95·a)', () => {
    const parts = simulationParts({ trials: 300_001, seed: 1 })
    const drawn = parts.map(part => drawnPart([only('rectangular')], part))
    const { trials, seed, standardDeviation, middle } = simulatedFromParts(drawn, 1)
    expect([trials, seed]).toEqual([300_001, 1])
    expect(standardDeviation).toBeCloseTo(2 / Math.sqrt(3), 2)
    expect(middle.high).toBeCloseTo(1.9, 2)
    expect(middle.low).toBeCloseTo(-1.9, 2)
  })

  const noise = only('noise-removed', 3.1, 3)
  it.each([
    ['an even error', [only('rectangular')], 100_003],
    ['several errors', [only('normal'), only('u-shaped'), only('two-ports')], 40_001],
    ['noise that hides some of the signals', [only('normal'), noise], 20_000],
    ['a hundred draws', [only('normal')], 100],
  ])('say what all their draws put in order say: %s', (_words, contributions, count) => {
    const parts = simulationParts({ trials: count, seed: 3 })
    const all = parts.flatMap(part => [...drawSums(contributions, part)]).sort((a, b) => a - b)
    const inside = Math.ceil(0.95 * count)
    const starts = Array.from({ length: count - inside + 1 }, (_unused, i) => i)
    const width = (i: number) => all[i + inside - 1]! - all[i]!
    const best = starts.reduce((least, i) => (width(i) < width(least) ? i : least))
    const found = simulatedFromParts(
      parts.map(part => drawnPart(contributions, part)),
      3,
    )
    expect(found.shortest).toEqual({ low: all[best], high: all[best + inside - 1] })
    const edge = Math.floor((count - inside) / 2)
    expect(found.middle).toEqual({ low: all[edge], high: all[count - 1 - (count - inside) + edge] })
    if (!Number.isFinite(all[0]!)) return
    const mean = all.reduce((sum, one) => sum + one, 0) / count
    const squares = all.reduce((sum, one) => sum + (one - mean) ** 2, 0)
    expect(found.mean).toBeCloseTo(mean, 10)
    expect(found.standardDeviation).toBeCloseTo(Math.sqrt(squares / (count - 1)), 10)
  })
})

describe('tables of a shape', () => {
  const ports = (halfWidth: number, parameter: number) => only('two-ports', halfWidth, parameter)
  const part = { trials: 3000, seed: 4, stream: 1 }

  it('are kept for the next part, and belong to their shape alone', () => {
    const rules = createDrawingRules()
    for (const one of [ports(2, 0.3), ports(2, 0.4), ports(1, 0.3), ports(2, 0.3), only('between-points')])
      expect(drawSums([one], part, rules)).toEqual(drawSums([one], part))
    expect(rules.of(ports(2, 0.3))).toBe(rules.of(ports(2, 0.3)))
  })

  it('are made anew after more shapes than are kept', () => {
    const rules = createDrawingRules()
    const first = rules.of(ports(2, 0.3))
    for (let i = 0; i < 70; i++) rules.of(ports(2 + i / 100, 0.2))
    expect(rules.of(ports(2, 0.3))).not.toBe(first)
    expect(drawSums([ports(2, 0.3)], part, rules)).toEqual(drawSums([ports(2, 0.3)], part))
  })
})

describe('a simulation', () => {
  const trials = 10_000

  it('draws arcsine errors as the cosine of an even angle, to a ten-millionth', () => {
    const exact = mean(trials, next => [2 * Math.cos((Math.PI * next()) / 2 ** 31)])
    expect(Math.abs(monteCarlo([only('u-shaped')], { trials }).mean - exact)).toBeLessThan(1e-7)
  })

  it.each([10_000, 10_001, 2049])(
    'draws %i normal errors in pairs, cosine and sine (Box and Muller, 1958)',
    count => {
      const one = only('normal')
      const exact = mean(count, next => {
        const uniform = (next() >>> 0) / 2 ** 32 + 2 ** -33
        const radius = one.standardUncertainty * Math.sqrt(-2 * Math.log(uniform))
        const angle = (Math.PI * next()) / 2 ** 31
        return [radius * Math.cos(angle), radius * Math.sin(angle)]
      })
      expect(Math.abs(monteCarlo([one], { trials: count }).mean - exact)).toBeLessThan(1e-7)
    },
  )

  it('of one arcsine error has the arcsine’s deviation and 95 % range (a/√2; a·cos(π/40))', () => {
    const { standardDeviation, middle } = monteCarlo([only('u-shaped')], { trials: 400_000 })
    expect(standardDeviation).toBeCloseTo(2 / Math.SQRT2, 2)
    expect(middle.high).toBeCloseTo(2 * Math.cos(Math.PI / 40), 2)
    expect(middle.low).toBeCloseTo(-2 * Math.cos(Math.PI / 40), 2)
  })

  it('draws two reflecting ports as 20·log10|1 − ρ·exp(iθ)|, and a peak between points as a·(p² − ⅓)', () => {
    const first = (next: () => number) => {
      const p = (next() >>> 0) / 2 ** 32 + 2 ** -33
      next()
      return p
    }
    const ports = contribution({
      id: 'p',
      group: 'mismatch',
      label: 'p',
      distribution: 'two-ports',
      halfWidth: 2,
      parameter: 0.3,
    })
    const exactPorts = mean(trials, next => [
      10 * Math.log10(1 - 0.6 * Math.cos(Math.PI * first(next)) + 0.09),
    ])
    expect(Math.abs(monteCarlo([ports], { trials }).mean - exactPorts)).toBeLessThan(1e-6)
    const between = only('between-points')
    const exactBetween = mean(trials, next => [2 * (first(next) ** 2 - 1 / 3)])
    expect(Math.abs(monteCarlo([between], { trials }).mean - exactBetween)).toBeLessThan(1e-6)
  })

  it('counts the draws at or under a figure the same, whether or not they stand in order', () => {
    const one = monteCarlo([only('rectangular')], { trials })
    const before = [-2.1, -1, 0, 0.5, 2].map(one.probabilityBelow)
    expect(one.median).toBeCloseTo(0, 1)
    expect([-2.1, -1, 0, 0.5, 2].map(one.probabilityBelow)).toEqual(before)
    expect(before[0]).toBe(0)
    expect(before[4]).toBe(1)
    expect(Math.abs(before[3]! - 0.625)).toBeLessThan(0.02)
  })
})
