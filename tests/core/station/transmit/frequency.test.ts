import { describe, expect, it } from 'vitest'
import { FREQUENCY_ID, warmUpDriftHz } from '#core/station'
import { figure, withReadings } from '../../../support/bench'
import { answerOf, landMobile, resultOf, slot, stepOf } from '../../../support/stations'

describe('frequency error', () => {
  const frequency = (slotId: string, errorHz: number) =>
    figure(154e6 + errorHz, {
      slot: slotId,
      stepId: stepOf(FREQUENCY_ID),
      unit: 'Hz',
      seen: { resolution: 1 },
    })

  it('judges the error both ways, and tells the drift', () => {
    const context = withReadings(landMobile(), [frequency('cold', -1700), frequency('warm', 300)])
    const result = resultOf(FREQUENCY_ID, context)
    expect(slot(result, 'cold')).toMatchObject({ words: 'Outside by 200\u00a0Hz' })
    expect(slot(result, 'warm').verdict).toMatchObject({
      state: 'inside',
      unit: 'Hz',
      perStripDb: 150,
      margin: 1200,
    })
    expect(warmUpDriftHz(result)).toBe(2000)
    expect(answerOf(FREQUENCY_ID, context).detail).toContain('moves by 2.0\u00a0kHz warming up')
    expect(slot(result, 'warm').notes.join(' ')).toContain('+1.95\u00a0ppm')
  })

  it('a reference of 1 ppm cannot judge a limit of 1 ppm (handbook, section 7)', () => {
    const review = landMobile({}, { rulebookIds: ['own'] })
    review.ownRulebooks = [
      {
        id: 'own',
        title: 'Own',
        jurisdiction: '',
        edition: '',
        standing: 'standard',
        owner: 'reviewer',
        basedOn: null,
        note: '',
        bands: [],
        noFigure: [],
        clauses: [
          {
            id: 'fe',
            clause: 'Own, frequency',
            about: 'frequency-error',
            confidence: 'H',
            recalled: false,
            when: {},
            limit: { kind: 'at-most', value: 1, unit: 'ppm' },
            basis: 'conducted',
            note: '',
          },
        ],
      },
    ]
    review.instruments = review.instruments.map(instrument => ({ ...instrument, referencePpm: 1 }))
    for (const [errorHz, state] of [
      [120, 'too-close'],
      [-120, 'too-close'],
      [170, 'too-close'],
    ] as const)
      expect(
        slot(resultOf(FREQUENCY_ID, withReadings(review, [frequency('warm', errorHz)])), 'warm').verdict
          .state,
      ).toBe(state)
    const assumed = withReadings(
      {
        ...review,
        instruments: review.instruments.map(instrument => ({ ...instrument, referencePpm: null })),
      },
      [frequency('warm', 0)],
    )
    expect(slot(resultOf(FREQUENCY_ID, assumed), 'warm')).toMatchObject({ verdict: { state: 'too-close' } })
    expect(slot(resultOf(FREQUENCY_ID, assumed), 'warm').notes.join(' ')).toContain('not stated')
  })

  it('asks when another channel was set', () => {
    expect(
      resultOf(FREQUENCY_ID, withReadings(landMobile(), [frequency('warm', 12_500)])).questions[0]!.words,
    ).toContain('another channel')
    expect(
      resultOf(FREQUENCY_ID, withReadings(landMobile(), [frequency('warm', -153e6)])).questions[0]!.words,
    ).toContain('+120 Hz')
  })
})
