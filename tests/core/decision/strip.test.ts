import { describe, expect, it } from 'vitest'
import { stripGeometry, stripPlace } from '#core/decision'
import { verdictOf } from '../../support/results'

/** Worked out apart: 0.64 − 0.15·ln(x + √(x² + 1)) of x = margin/1.5. */
const place = (db: number) => {
  const x = db / 1.5
  return 0.64 - 0.15 * Math.log(x + Math.sqrt(x * x + 1))
}

describe('the margin strip, to scale', () => {
  it('has a tick at 1, 3, 10 and 30 dB either side, those that fall beyond its edge left out', () => {
    const { ticks, limitAt } = stripGeometry(verdictOf('inside', 3))
    expect(limitAt).toBe(0.64)
    const all = [1, 3, 10, 30, -1, -3, -10, -30].map(place)
    const inside = all.filter(at => at > 0 && at < 1)
    // −30 dB would stand at 1.19.
    expect(inside.length).toBeLessThan(all.length)
    expect(ticks).toHaveLength(inside.length)
    ticks.forEach((tick, k) => expect(tick).toBeCloseTo(inside[k]!, 12))
    expect(Math.min(...ticks)).toBeGreaterThan(0)
    expect(Math.max(...ticks)).toBeLessThan(1)
  })

  it('puts mark and whisker where margin and its range lie, the better end left', () => {
    const found = stripGeometry(verdictOf('inside', 3, { marginLow: 2, marginHigh: 5 }))
    expect(found.mark).toBeCloseTo(place(3), 12)
    expect(found.whisker!.from).toBeCloseTo(place(5), 12)
    expect(found.whisker!.to).toBeCloseTo(place(2), 12)
    expect(found.clipped).toBe(false)
  })

  it('takes a figure that is no level by how much of it counts as a dB', () => {
    const hz = { perStripDb: 250, marginLow: 250, marginHigh: 1000 }
    const found = stripGeometry(verdictOf('inside', 500, hz))
    expect(found.mark).toBeCloseTo(place(2), 12)
    expect(found.whisker!.from).toBeCloseTo(place(4), 12)
    expect(found.whisker!.to).toBeCloseTo(place(1), 12)
    expect(found.clipped).toBe(false)
    expect(stripGeometry(verdictOf('inside', 1e6, hz)).clipped).toBe(true)
  })

  it('says that a mark is held at either edge, and not before', () => {
    // Edges at 0.02 and 0.98: asinh(x) = 4.1333 and −2.2667, 46.77 dB inside and 7.16 dB outside.
    const inside = 1.5 * Math.sinh((0.64 - 0.02) / 0.15)
    const outside = -1.5 * Math.sinh((0.98 - 0.64) / 0.15)
    for (const [db, clipped] of [
      [inside - 0.01, false],
      [inside + 0.01, true],
      [outside + 0.01, false],
      [outside - 0.01, true],
    ] as const)
      expect(stripGeometry(verdictOf(db > 0 ? 'inside' : 'outside', db)).clipped).toBe(clipped)
    expect(stripPlace(inside + 5)).toBe(0.02)
    expect(stripPlace(outside - 5)).toBe(0.98)
  })

  it('draws an open end to the edge, and no whisker where nothing is open or known', () => {
    const open = stripGeometry(verdictOf('too-close', 0, { marginLow: -Infinity, marginHigh: Infinity }))
    expect(open.whisker).toEqual({ from: 0.02, to: 0.98 })
    for (const ends of [
      { marginLow: 3, marginHigh: 3 },
      { marginLow: null, marginHigh: 3 },
      { marginLow: 3, marginHigh: null },
    ])
      expect(stripGeometry(verdictOf('inside', 3, ends)).whisker).toBeNull()
  })

  it('has no mark for what is not judged, margin or not', () => {
    for (const state of ['not-covered', 'no-figure', 'observation'] as const)
      expect(stripGeometry(verdictOf(state, 3))).toMatchObject({ mark: null, whisker: null, clipped: false })
    expect(stripGeometry(verdictOf('inside', null))).toMatchObject({ mark: null, whisker: null })
    for (const state of ['inside', 'outside', 'too-close'] as const)
      expect(stripGeometry(verdictOf(state, 1)).mark).not.toBeNull()
  })
})
