import { describe, expect, it } from 'vitest'
import { criterionLevel, type CurvePoint, possibleCurves, strayPoint } from '#core/hearing'

/**
 * A logistic in decibels: no FM law at all, so that the curve cannot agree with itself. It is held to half a
 * decibel of level; its own range is held by the simulated receivers of the coverage study.
 */
const logistic = (dbm: number) => 36 / (1 + Math.exp(-(dbm + 117) / 4))
const where = (db: number) => -117 - 4 * Math.log(36 / db - 1)

const points = (levels: readonly number[], off: readonly number[] = []): CurvePoint[] =>
  levels.map((levelDbm, i) => ({
    levelDbm,
    sinadDb: logistic(levelDbm) + (off[i] ?? 0),
    scatterDb: 0.3,
  }))

describe('the curve of a receiver', () => {
  it.each([12, 20, 10])('reads the %d dB mark near where it is', db => {
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
    const read = points([-126, -122, -119, -116, -113], [0, 0, 7, 0, 0])
    expect(strayPoint(read, possibleCurves(read))).toMatchObject({ index: 2 })
    const straight = points([-126, -122, -119, -116, -113])
    expect(strayPoint(straight, possibleCurves(straight))).toBeNull()
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
