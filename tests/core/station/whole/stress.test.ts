import type { Review } from '#core/review'
import { describe, expect, it } from 'vitest'
import { isRead } from '#core/step'
import { stationById, STRESS_ID } from '#core/station'
import { AT, figure, meter, pad, reading, reviewOf, withReadings } from '../../../support/bench'
import { answerOf, resultOf, slot, stepOf } from '../../../support/stations'

describe('open and short', () => {
  const bench = (consent: boolean): Review => {
    const review = reviewOf({ instrument: meter({ id: 'an' }), parts: [pad(0)] })
    const bySet = { set: { by: 'the owner', at: AT } }
    return { ...review, memos: consent ? { [STRESS_ID]: { common: null, bySet } } : {} }
  }
  const level = (id: string, watts: string) =>
    reading(watts, { slot: id, stepId: stepOf(STRESS_ID), frequencyHz: 146.52e6 })

  it('stays shut without the owner’s consent', () => {
    const context = withReadings(bench(false), [])
    expect(stationById(STRESS_ID).plan(context.review.sets[0]!, context)).toEqual([])
    expect(answerOf(STRESS_ID, context)).toMatchObject({ words: 'Not done', detail: 'no consent on record' })
  })

  it('tells damage from repeatability: what both readings share cancels', () => {
    const as = (after: string) =>
      resultOf(STRESS_ID, withReadings(bench(true), [level('before', '5.00 W'), level('after', after)])).words
    expect(as('4.95 W')).toContain('Power as before')
    expect(as('4.2 W')).toContain('Power fell by 0.76\u00a0dB')
    expect(as('5.6 W')).toContain('Power rose')
    const done = resultOf(
      STRESS_ID,
      withReadings(bench(true), [
        figure(1, { slot: 'open', stepId: stepOf(STRESS_ID), unit: 'mark' }),
        figure(0, { slot: 'short', stepId: stepOf(STRESS_ID), unit: 'mark' }),
      ]),
    )
    expect(slot(done, 'open').words).toBe(`done ${AT.slice(0, 10)}`)
    expect(isRead(slot(done, 'short'))).toBe(false)
    expect(
      answerOf(STRESS_ID, withReadings(bench(true), [level('before', '5 W'), level('after', '5 W')])).detail,
    ).toContain('the owner')
  })
})
