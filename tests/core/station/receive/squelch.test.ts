import { describe, expect, it } from 'vitest'
import { SQUELCH_ID } from '#core/station'
import type { Reading } from '#core/review'
import { resultOf, slot } from '../../../support/stations'
import { hearingReview, pointsAround, turnedTo, withReadings } from '../../../support/hearing'

const round = (n: number, open: number, close: number): Reading[] => [
  turnedTo(open, { stationId: SQUELCH_ID, slot: `threshold-open-${n}` }),
  turnedTo(close, { stationId: SQUELCH_ID, slot: `threshold-close-${n}` }),
]
const hysteresis = (readings: Reading[]) =>
  slot(resultOf(SQUELCH_ID, withReadings(hearingReview(), readings)), 'hysteresis')

describe('squelch', () => {
  it('each edge lies half a step before it was seen: 4 dB apart in steps of 0.5 are 3.5', () => {
    expect(hysteresis(round(1, -113, -117)).found!.value).toBeCloseTo(3.5, 9)
  })

  it('the generator’s error cancels: only steps and scatter are left open', () => {
    const { budget } = hysteresis([...round(1, -113, -117), ...round(2, -112.5, -117)]).found!
    expect(new Set(budget.contributions.map(({ group }) => group))).toEqual(new Set(['stepping']))
  })

  it('one round leaves more open than three that agree', () => {
    const one = hysteresis(round(1, -113, -117)).found!.budget.range
    const three = hysteresis([1, 2, 3].flatMap(n => round(n, -113, -117))).found!.budget.range
    expect(three).toBeLessThan(one / 2)
  })

  it('is judged by the yardstick of 2 dB on both sides of it', () => {
    const state = (dB: number) =>
      hysteresis([1, 2, 3].flatMap(n => round(n, -110, -110 - dB))).yardstick!.verdict.state
    expect(state(4)).toBe('inside')
    expect(state(1)).toBe('outside')
  })

  it('says where it opens against the 12 dB level', () => {
    const readings = [...pointsAround(-120, [-4, -1, 1, 5]), ...round(1, -113, -117)]
    const opens = slot(resultOf(SQUELCH_ID, withReadings(hearingReview(), readings)), 'opens')
    // −113 dBm behind 10 dB, half a step before: −123.25, 3.2 dB under the 12 dB level.
    expect(opens.found!.value).toBeCloseTo(-123.25, 9)
    expect(opens.words).toContain('against the 12 dB level')
  })

  it('an edge seen without the other tells of the scatter, and is not left out', () => {
    const two = [1, 2].flatMap(n => round(n, -113, -117))
    const third = round(3, -111.5, -117)
    const range = (readings: Reading[]) => hysteresis(readings).found!.budget.range
    expect(range([...two, third[0]!])).toBeGreaterThan(1.2 * range(two))
  })

  it('asks where it opened below where it closed', () => {
    const context = withReadings(hearingReview(), round(1, -117, -113))
    expect(resultOf(SQUELCH_ID, context).questions[0]!.words).toContain('wrong way round')
  })
})
