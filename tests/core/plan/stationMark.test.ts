import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { stationMark, worstState } from '#core/plan'
import type { Reading, Review } from '#core/review'
import { stationById } from '#core/station'
import { analyser, AT, harmonic, reviewOf } from '../../support/bench'
import { stepOf } from '../../support/stations'

const bench = (readings: Reading[], change: Partial<Review> = {}): Review => ({
  ...reviewOf({ instrument: analyser({ toHz: 3e9, floorDbm: -120 }) }),
  readings,
  ...change,
})
const markOf = (review: Review) => {
  const context = createContext(review)
  return stationMark(stationById('harmonics'), review.sets[0]!, context)
}

describe('the mark of a station in the order of work', () => {
  it('nothing read: none, and none of its steps done', () => {
    expect(markOf(bench([]))).toEqual({ state: null, done: 0, planned: 1 })
  })

  it('harmonics that are still open keep it from being clean; what is beyond its limit shows at once', () => {
    const begun = [harmonic(1, '-13.0'), harmonic(2, '-85.0')]
    expect(markOf(bench(begun))).toEqual({ state: 'not-covered', done: 0, planned: 1 })
    // −13 dBm is the carrier behind 50 dB: ×3 at −40 dBm is 27 dB under it.
    expect(markOf(bench([...begun, harmonic(3, '-40.0')])).state).toBe('outside')
    const all = [harmonic(1, '-13.0'), ...[2, 3, 4, 5, 6, 7, 8, 9, 10].map(n => harmonic(n, '-85.0'))]
    expect(markOf(bench(all))).toEqual({ state: 'inside', done: 1, planned: 1 })
    expect(markOf(bench(all.slice(0, -1)))).toEqual({ state: 'not-covered', done: 0, planned: 1 })
  })

  it('a step that is left out is done, and has no part in the worst', () => {
    const skipped = [{ setId: 'set', stepId: stepOf('harmonics'), reason: 'No time.', at: AT }]
    expect(markOf(bench([], { skipped }))).toEqual({ state: null, done: 1, planned: 1 })
  })
})

describe('the worst of several marks', () => {
  it.each([
    [['inside', 'outside', 'too-close'], 'outside'],
    [['inside', 'not-covered', 'too-close'], 'too-close'],
    [['inside', 'not-covered', null], 'not-covered'],
    [['no-figure', 'observation', 'inside'], 'inside'],
    [['observation', 'no-figure'], 'no-figure'],
    [[null, null], null],
    [[], null],
  ] as const)('%j: %s', (states, worst) => {
    expect(worstState(states)).toBe(worst)
    expect(worstState([...states].reverse())).toBe(worst)
  })
})
