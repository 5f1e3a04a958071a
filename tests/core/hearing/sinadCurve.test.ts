import { describe, expect, it } from 'vitest'
import { criterionLevel, type CurvePoint, possibleCurves, strayPoint } from '#core/hearing'

/**
 * A logistic in decibels: no FM law at all, so that the curve cannot agree with itself. It is held to half a
 * decibel of level; its own range is held by the simulated receivers of the coverage study.
 */
const logistic = (dbm: number) => 36 / (1 + Math.exp(-(dbm + 117) / 4))
const where = (db: number) => -117 - 4 * Math.log(36 / db - 1)

/** Abramowitz and Stegun, 7.1.26: the complementary error function to 1.5e-7. */
function erfc(x: number): number {
  const t = 1 / (1 + 0.3275911 * x)
  const sum = [0.254829592, -0.284496736, 1.421413741, -1.453152027, 1.061405429]
  return sum.reduceRight((total, a) => (total + a) * t, 0) * Math.exp(-x * x)
}

/**
 * Clicks by the error function (Rice 1963, from memory), noise above the threshold, distortion at 32 dB:
 * written apart from the product's own family of curves.
 */
function fm(dbm: number): number {
  const ratio = 10 ** ((dbm + 127) / 10)
  const noise = 1 / (5 * ratio) + 5 * erfc(Math.sqrt(ratio)) + 10 ** -3.2
  return 10 * Math.log10(1 + 1 / noise)
}

function levelOf(db: number): number {
  let [low, high] = [-140, -100]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (fm(middle) < db) low = middle
    else high = middle
  }
  return high
}

const points = (levels: readonly number[], off: readonly number[] = []): CurvePoint[] =>
  levels.map((levelDbm, i) => ({
    levelDbm,
    sinadDb: logistic(levelDbm) + (off[i] ?? 0),
    scatterDb: 0.3,
  }))

describe('the curve of a receiver', () => {
  it.each([12, 20, 10])('of clicks and noise: the %d dB mark within its own range', db => {
    const read = [-126, -123, -120.5, -118, -113, -109].map(levelDbm => ({
      levelDbm,
      sinadDb: fm(levelDbm),
      scatterDb: 0.3,
    }))
    const level = criterionLevel(read, possibleCurves(read), db)
    if (level.kind !== 'level') throw new Error(level.kind)
    expect(level.lowDbm).toBeLessThan(levelOf(db))
    expect(level.highDbm).toBeGreaterThan(levelOf(db))
    expect(level.highDbm - level.lowDbm).toBeLessThan(1.6)
  })

  it.each([12, 20, 10])('of no FM law at all: the %d dB mark near where it is', db => {
    const read = points([-126, -122, -119, -116, -113])
    const level = criterionLevel(read, possibleCurves(read), db)
    if (level.kind !== 'level') throw new Error(level.kind)
    expect(Math.abs(level.levelDbm - where(db))).toBeLessThan(db === 20 ? 1.1 : 0.5)
  })

  it('moves with the readings: 3 dB more in front is a mark 3 dB higher', () => {
    const read = points([-124, -120, -116])
    const moved = read.map(point => ({ ...point, levelDbm: point.levelDbm + 3 }))
    const [here, there] = [read, moved].map(list => criterionLevel(list, possibleCurves(list), 12))
    if (here!.kind !== 'level' || there!.kind !== 'level') throw new Error('no level')
    expect(there!.levelDbm - here!.levelDbm).toBeCloseTo(3, 1)
  })

  it('knows less where the readings scatter more', () => {
    const read = points([-124, -120, -116])
    const doubtful = read.map(point => ({ ...point, scatterDb: 1.5 }))
    const [sure, unsure] = [read, doubtful].map(list => criterionLevel(list, possibleCurves(list), 12))
    if (sure!.kind !== 'level' || unsure!.kind !== 'level') throw new Error('no level')
    expect(unsure!.standardUncertaintyDb).toBeGreaterThan(2 * sure!.standardUncertaintyDb)
  })

  it('says nothing more than 2 dB beyond the readings, and pins both sides of that', () => {
    const mark = where(12)
    const just = points([mark + 0.8, mark + 5, mark + 9])
    expect(criterionLevel(just, possibleCurves(just), 12).kind).toBe('level')
    const far = points([mark + 6, mark + 9, mark + 12])
    expect(criterionLevel(far, possibleCurves(far), 12).kind).toBe('read-lower')
    const low = points([mark - 9, mark - 7, mark - 5])
    expect(criterionLevel(low, possibleCurves(low), 12).kind).not.toBe('level')
  })

  it('one reading is too few', () => {
    const read = points([-120])
    expect(criterionLevel(read, possibleCurves(read), 12)).toEqual({ kind: 'too-few' })
  })

  it('finds the reading that does not lie on the curve of the others', () => {
    const levels = [-127, -125, -123, -121, -119, -116, -112]
    const read = levels.map(levelDbm => ({ levelDbm, sinadDb: fm(levelDbm), scatterDb: 0.3 }))
    expect(strayPoint(read, possibleCurves(read))).toBeNull()
    const slipped = read.map((point, i) => (i === 3 ? { ...point, sinadDb: point.sinadDb + 8 } : point))
    const stray = strayPoint(slipped, possibleCurves(slipped))
    expect(stray).toMatchObject({ index: 3 })
    expect(stray!.offDb).toBeGreaterThan(5)
  })

  it('a linear receiver rises a decibel for a decibel', () => {
    const read = [-118, -112, -106].map(levelDbm => ({
      levelDbm,
      sinadDb: 10 * Math.log10(1 + 10 ** ((levelDbm + 115) / 10)),
      scatterDb: 0.2,
    }))
    const level = criterionLevel(read, possibleCurves(read, 'linear'), 10)
    if (level.kind !== 'level') throw new Error(level.kind)
    // 10 dB (S+N)/N is S/N of 9.54 dB: 10·log10(10 − 1).
    expect(Math.abs(level.levelDbm - (-115 + 10 * Math.log10(9)))).toBeLessThan(0.35)
    expect(level.slope).toBeGreaterThan(0.7)
    expect(level.slope).toBeLessThan(1.1)
  })
})
