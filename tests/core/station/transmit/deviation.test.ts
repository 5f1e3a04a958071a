import { describe, expect, it } from 'vitest'
import { firstNullToneHz, fullDeviationHz, necessaryBandwidthHz } from '#core/band'
import { limitShort, limitSource, limitWords, rangeWords, valueWords } from '#core/judging'
import { knobTurns } from '#core/plan'
import { newChannel } from '#core/review'
import { BANDWIDTH_ID, DEVIATION_ID, FREQUENCY_ID, stationById } from '#core/station'
import { figure, withReadings } from '../../../support/bench'
import { answerOf, landMobile, resultOf, slot, stepOf } from '../../../support/stations'

describe('deviation (EN 300 086: 2.5 kHz in 12.5 kHz channels, from memory)', () => {
  const deviation = (slotId: string, value: number, change = {}) =>
    figure(value, { slot: slotId, stepId: stepOf(DEVIATION_ID), unit: 'Hz', ...change })

  it('judges tone and loudest voice in hertz; the worst governs', () => {
    const context = withReadings(landMobile(), [deviation('tone', 1500), deviation('loudest', 2650)])
    const result = resultOf(DEVIATION_ID, context)
    expect(slot(result, 'tone')).toMatchObject({
      words: 'Inside by 1.0\u00a0kHz',
      verdict: { state: 'inside' },
    })
    expect(result).toMatchObject({
      words: 'Outside by 150\u00a0Hz',
      verdict: { state: 'outside' },
      progress: { read: 2, possible: 2 },
    })
    expect(valueWords(slot(result, 'loudest'))).toBe('2.650\u00a0kHz')
    // ±1 % of reading, rectangular: 95 % of it.
    expect(rangeWords(slot(result, 'loudest'))).toBe('±25\u00a0Hz')
    expect(limitWords(slot(result, 'tone').limit!)).toBe('Allowed: at most 2.5\u00a0kHz')
    expect(limitShort(slot(result, 'tone').limit!)).toBe('at most 2.5\u00a0kHz')
    expect(limitSource(slot(result, 'tone').limit!)).toEqual([
      expect.any(String),
      expect.stringContaining('EN 300 086'),
    ])
    // A rulebook that is silent as a whole is named once.
    const silent = slot(
      resultOf(
        DEVIATION_ID,
        withReadings(
          { ...landMobile(), settings: { ...landMobile().settings, rulebookIds: ['us-amateur'] } },
          [deviation('tone', 1500)],
        ),
      ),
      'tone',
    ).limit!
    expect([limitSource(silent), limitShort(silent)]).toEqual([['US amateur'], ''])
    expect(answerOf(DEVIATION_ID, context)).toMatchObject({
      words: 'Outside by 150\u00a0Hz',
      detail: 'Loudest voice or whistle, 2 m, 154.000\u00a0MHz',
    })
  })

  it('is too close to call when the instrument’s percent reach across the limit', () => {
    const result = resultOf(DEVIATION_ID, withReadings(landMobile(), [deviation('loudest', 2495)]))
    expect(slot(result, 'loudest').verdict.state).toBe('too-close')
  })

  it('stands in the middle of what noise may have pushed up', () => {
    const result = resultOf(
      DEVIATION_ID,
      withReadings(landMobile(), [deviation('loudest', 2600, { seen: { noiseAdds: 200 } })]),
    )
    expect(slot(result, 'loudest').found!.value).toBe(2500)
    expect(slot(result, 'loudest').verdict.state).toBe('too-close')
  })

  it('is measured and judged at each spacing the set can be switched to (5 kHz in 25 kHz channels, EN 300 086, from memory)', () => {
    const review = landMobile({}, { alsoSpacingsHz: [25_000, 12_500] })
    const wide = `${stepOf(DEVIATION_ID)}:25000`
    const context = withReadings(review, [
      deviation('loudest', 2650),
      deviation('loudest', 4400, { stepId: wide }),
    ])
    const steps = stationById(DEVIATION_ID).plan(review.sets[0]!, context)
    expect(steps.map(({ id, setting, band }) => [id, setting.spacingHz, band.name])).toEqual([
      [stepOf(DEVIATION_ID), 12_500, '2 m, 12.5\u00a0kHz'],
      [wide, 25_000, '2 m, 25\u00a0kHz'],
    ])
    expect(steps[1]!.radioSettings[0]!.words).toBe('Set to channels of 25\u00a0kHz')
    expect(knobTurns(steps[0]!, steps[1]!)).toBe(1)
    const results = steps.map(step => stationById(DEVIATION_ID).evaluate(step, context))
    expect(results.map(result => slot(result, 'loudest').verdict.state)).toEqual(['outside', 'inside'])
    expect(results[1]!.slots[0]!.words).toBe('Not measured')
    expect(stationById(BANDWIDTH_ID).plan(review.sets[0]!, context)[1]!.slots[2]!.frequencyHz).toBe(
      154e6 + 25_000,
    )
    // What does not hang on the spacing is read once; a card that says one spacing keeps the plain name.
    expect(stationById(FREQUENCY_ID).plan(review.sets[0]!, context)).toHaveLength(1)
    expect(stationById(DEVIATION_ID).plan(landMobile().sets[0]!, context)[0]!.band.name).toBe('2 m')
  })

  it('turns the tone of a carrier null into a deviation', () => {
    const result = resultOf(DEVIATION_ID, withReadings(landMobile(), [deviation('null-tone', 1000)]))
    expect(slot(result, 'null-tone').found!.value).toBeCloseTo(2404.8, 0)
    expect(slot(result, 'null-tone').notes[0]).toContain('2.4048')
    expect(firstNullToneHz(landMobile().sets[0]!.bands[0]!)).toBeCloseTo(1039.6, 1)
  })

  it('observes the tone squelch, and asks about absurd figures', () => {
    const result = resultOf(
      DEVIATION_ID,
      withReadings(landMobile(), [
        deviation('tone-squelch', 300),
        deviation('tone', 2.4),
        deviation('loudest', 2_400_000),
      ]),
    )
    expect(slot(result, 'tone-squelch')).toMatchObject({
      words: '300\u00a0Hz, 12 % of full deviation',
      verdict: { state: 'observation' },
    })
    expect(result.questions.map(({ slotId }) => slotId)).toEqual(['tone', 'loudest'])
    expect(
      resultOf(DEVIATION_ID, withReadings(landMobile(), [deviation('tone', 4000)])).questions[0]!.words,
    ).toContain('wide')
  })

  it('does not speak of SSB, and knows what spacings are made for', () => {
    const context = withReadings(landMobile({}, { mode: 'SSB' }), [])
    expect(stationById(DEVIATION_ID).plan(context.review.sets[0]!, context)).toEqual([])
    expect(answerOf(DEVIATION_ID, context).words).toBe('Not on this set')
    expect(
      [12_500, 20_000, 25_000, null].map(channelSpacingHz =>
        fullDeviationHz({ ...landMobile().sets[0]!.bands[0]!, channelSpacingHz }),
      ),
    ).toEqual([2500, 4000, 5000, 5000])
    expect(necessaryBandwidthHz(landMobile().sets[0]!.bands[0]!)).toBe(11_000)
  })

  it('has no figure where law names none, and says what was read', () => {
    const review = landMobile()
    const result = resultOf(
      DEVIATION_ID,
      withReadings(
        {
          ...review,
          settings: { ...review.settings, rulebookIds: ['us-amateur'] },
          sets: review.sets.map(set => ({
            ...set,
            bands: set.bands.map(band => ({
              ...band,
              channels: [newChannel({ id: 'c1', name: '', frequencyHz: 146.52e6, harmonics: true })],
            })),
          })),
        },
        [deviation('loudest', 2400)],
      ),
    )
    expect(slot(result, 'loudest')).toMatchObject({
      verdict: { state: 'no-figure' },
      words: '2.40\u00a0kHz; no figure in law',
    })
  })
})
