import { describe, expect, it } from 'vitest'
import { coach, type CoachInput, type CurvePoint, settable } from '#core/hearing'

const RANGE = { lowestDbm: -140, highestDbm: 0, stepDb: 0.5 }
const ask = (points: CurvePoint[], change: Partial<CoachInput> = {}) =>
  coach({ points, criterionDb: 12, range: RANGE, expectedDbm: -119, othersDb: 1, ...change })
const point = (levelDbm: number, sinadDb: number): CurvePoint => ({ levelDbm, sinadDb, scatterDb: 0.3 })

describe('the coach', () => {
  it('begins clearly above what is expected, then goes clearly below', () => {
    expect(ask([])).toMatchObject({ kind: 'read', why: 'above', levelDbm: -114 })
    const second = ask([point(-114, 21)])
    expect(second).toMatchObject({ kind: 'read', why: 'below' })
    if (second.kind === 'read') expect(second.levelDbm).toBeLessThan(-118)
    expect(ask([point(-128, 2)])).toMatchObject({ kind: 'read', why: 'above' })
  })

  it('then reads near the mark, in steps the generator can make', () => {
    const third = ask([point(-114, 21), point(-124, 5)])
    if (third.kind !== 'read') throw new Error(third.kind)
    expect(third.why).toBe('tells-most')
    expect(third.levelDbm).toBeGreaterThan(-123)
    expect(third.levelDbm).toBeLessThan(-116)
    expect(Math.abs(third.levelDbm * 2 - Math.round(third.levelDbm * 2))).toBeLessThan(1e-9)
  })

  it('stops once the curve is under a third of the whole, and not before', () => {
    const read = [point(-114, 21), point(-124, 5), point(-120, 12)]
    expect(ask(read, { othersDb: 3 })).toMatchObject({ kind: 'enough', why: 'others-larger' })
    const onlyCurve = ask(read, { othersDb: 0 })
    expect(onlyCurve.kind).toBe('read')
  })

  it('says so where the generator does not go', () => {
    expect(ask([], { range: { ...RANGE, lowestDbm: -100 } })).toEqual({ kind: 'cannot', why: 'out-of-range' })
  })

  it('a level is set in steps, within the range', () => {
    expect(settable(-119.3, RANGE)).toBe(-119.5)
    expect(settable(-150, RANGE)).toBe(-140)
    expect(settable(5, RANGE)).toBe(0)
  })
})
