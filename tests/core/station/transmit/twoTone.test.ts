import { describe, expect, it } from 'vitest'
import { rangeWords, valueWords } from '#core/judging'
import { readWith } from '#core/step'
import { newReceiver } from '#core/chain'
import { imdWords, stationById, TWO_TONE_ID } from '#core/station'
import type { Context } from '#core/context'
import { figure, meter, pad, reading, reviewOf, withReadings } from '../../../support/bench'
import { analysis } from '../../../support/analysis'
import { answerOf, resultOf, slot, stepOf } from '../../../support/stations'

describe('two tones', () => {
  const ssb = () => {
    const review = reviewOf({ instrument: meter({ id: 'an' }), parts: [pad(0)] })
    return {
      ...review,
      sets: review.sets.map(set => ({
        ...set,
        bands: set.bands.map(band => ({
          ...band,
          mode: 'SSB' as const,
          claims: { high: { kind: 'watts' as const, powerW: 12 } },
        })),
      })),
    }
  }
  const level = (id: string, watts: string) =>
    reading(watts, { slot: id, stepId: stepOf(TWO_TONE_ID), frequencyHz: 146.52e6 })
  const imd = (id: string, value: number) =>
    figure(value, { slot: id, stepId: stepOf(TWO_TONE_ID), unit: 'dB' })

  it('judges PEP by its claim and words products in both conventions', () => {
    const context = withReadings(ssb(), [
      imd('imd3', 28),
      imd('imd5', 40),
      level('pep', '12 W'),
      level('mean', '6 W'),
    ])
    const result = resultOf(TWO_TONE_ID, context)
    expect(slot(result, 'imd3').words).toBe('28.0\u00a0dB below either tone, 34.0\u00a0dB below PEP')
    expect(slot(result, 'pep').verdict.state).not.toBe('observation')
    expect(result.questions).toEqual([])
    expect(answerOf(TWO_TONE_ID, context)).toMatchObject({ verdict: { state: 'observation' } })
    expect(imdWords(40, true)).toBe('at least 40.0\u00a0dB below either tone, 46.0\u00a0dB below PEP')
  })

  it('says of a product in the noise that it stands at least so far down, and never at most', () => {
    const bound = figure(45, {
      slot: 'imd3',
      stepId: stepOf(TWO_TONE_ID),
      unit: 'dB',
      seen: { isUpperBound: true },
    })
    const result = slot(resultOf(TWO_TONE_ID, withReadings(ssb(), [bound])), 'imd3')
    expect(result.words).toContain('at least 45.0')
    expect(valueWords(result)).not.toContain('at most')
  })

  it('a bound found in a recording comes to the page as one', () => {
    const worst = { belowToneDb: 45, belowPepDb: 51, standardUncertaintyDb: 0.1 }
    const found = (isUpperBound: boolean) =>
      stationById(TWO_TONE_ID).recording!.figures(
        analysis({
          twoTone: {
            meanToneDb: -10,
            upperHz: 1900,
            lowerHz: 700,
            imbalanceDb: 0,
            imbalanceUncertaintyDb: 0.1,
            worst: { 3: { ...worst, isUpperBound } },
          } as never,
        }),
        {} as never,
      )[0]!
    expect(found(true).seen).toMatchObject({ isUpperBound: true })
    expect(found(false).seen).toMatchObject({ isUpperBound: false })
  })

  it('asks when PEP and mean do not go together, and about a sign', () => {
    const result = resultOf(
      TWO_TONE_ID,
      withReadings(ssb(), [imd('imd3', -28), level('pep', '12 W'), level('mean', '4 W')]),
    )
    expect(result.questions.map(({ slotId }) => slotId)).toEqual(['mean', 'imd3'])
  })

  it('leaves open of a product what its instrument leaves open of a ratio; a decibel where nobody knows which it was (assumed)', () => {
    const review = ssb()
    const receiver = { ...newReceiver('rx'), ratioDb: 0.3, assumed: false }
    const step = (context: Context) => stationById(TWO_TONE_ID).plan(context.review.sets[0]!, context)[0]!
    const alone = withReadings(review, [])
    expect(readWith(step(alone), 'dB', alone)).toEqual({
      instrumentId: null,
      through: {},
    })
    const beside = withReadings({ ...review, instruments: [...review.instruments, receiver] }, [])
    expect(readWith(step(beside), 'dB', beside)).toEqual({
      instrumentId: 'rx',
      through: {},
    })
    expect(readWith(step(beside), 'V', beside)).toMatchObject({
      instrumentId: 'an',
      through: { instrument: { chainId: 'ch' } },
    })
    const two = withReadings(
      { ...review, instruments: [...review.instruments, receiver, { ...receiver, id: 'rx2' }] },
      [],
    )
    expect(readWith(step(two), 'dB', two).instrumentId).toBeNull()
    // Rectangular ±0.3 dB and ±1 dB: 95 % of it.
    const range = (instrumentId: string | null) =>
      rangeWords(
        slot(
          resultOf(TWO_TONE_ID, withReadings(beside.review, [{ ...imd('imd3', 28), instrumentId }])),
          'imd3',
        ),
      )
    expect([range('rx'), range(null), range('an')]).toEqual([
      '±0.28\u00a0dB',
      '±0.95\u00a0dB',
      '±0.95\u00a0dB',
    ])
  })

  it('is for SSB bands only', () => {
    const context = withReadings(reviewOf(), [])
    expect(stationById(TWO_TONE_ID).plan(context.review.sets[0]!, context)).toEqual([])
    expect(answerOf(TWO_TONE_ID, context).words).toBe('Not on this set')
  })
})
