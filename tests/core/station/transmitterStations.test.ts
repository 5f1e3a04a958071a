import type { Context } from '#core/context'
import { limitShort, limitSource, limitWords, rangeWords, valueWords } from '#core/judging'
import { type StepResult, isRead, readWith } from '#core/step'
import { firstNullToneHz, fullDeviationHz, necessaryBandwidthHz, spacingOf } from '#core/band'
import { describe, expect, it } from 'vitest'
import { newReceiver } from '#core/chain'
import { knobTurns } from '#core/plan'
import { newBand, newChannel, type RadioSet, type Review } from '#core/review'
import {
  BANDWIDTH_ID,
  DEVIATION_ID,
  droopOf,
  efficiency,
  FREQUENCY_ID,
  halfWidthWords,
  harmonicOf,
  imdWords,
  momentOf,
  momentOfSlot,
  OFF_AIR_ID,
  offAirDbc,
  POWER_OVER_TIME_ID,
  slotAt,
  spurSlot,
  stationById,
  STRESS_ID,
  timeConstant,
  TWO_TONE_ID,
  wantedStations,
  warmUpDriftHz,
} from '#core/station'
import {
  AT,
  figure,
  harmonic,
  HARMONICS_STEP,
  meter,
  pad,
  POWER_STEP,
  radio,
  reading,
  reviewOf,
  withFigures,
  withReadings,
} from '../../support/bench'

/**
 * One radio on 154 MHz in 12.5 kHz channels by EN 300 086, with a receiver that is good to 0.5 ppm and 1 %.
 */
function landMobile(change: Partial<Review> = {}, band: Partial<RadioSet['bands'][number]> = {}): Review {
  const base = reviewOf({
    instrument: {
      ...newReceiver('an'),
      referencePpm: 0.5,
      deviationPercent: 1,
      assumed: false,
      ratioDb: 0.3,
      overloadDbm: 10,
      damageDbm: 30,
    },
  })
  const set = radio()
  return {
    ...base,
    settings: { ...base.settings, rulebookIds: ['eu-land-mobile'] },
    sets: [
      {
        ...set,
        bands: [
          {
            ...set.bands[0]!,
            ...newBand({ id: 'band', name: '2 m', levelIds: ['high'] }),
            claims: { high: { kind: 'watts', powerW: 5 } },
            channelSpacingHz: 12_500,
            channels: [newChannel({ id: 'c1', name: '', frequencyHz: 154e6, harmonics: true })],
            ...band,
          },
        ],
      },
    ],
    ...change,
  }
}
const stepOf = (id: string) => `${id}:band:c1:high`
const resultOf = (id: string, context: Context): StepResult => {
  const station = stationById(id)
  return station.evaluate(station.plan(context.review.sets[0]!, context)[0]!, context)
}
const slot = (result: StepResult, id: string) => result.slots.find(one => one.slot.id === id)!
const answerOf = (id: string, context: Context) => {
  const station = stationById(id)
  return station.answer(station.questions(context.review.sets, context)[0]!, context.review.sets[0]!, context)
}

describe('deviation (EN 300 086: 2.5 kHz in 12.5 kHz channels, from memory)', () => {
  const deviation = (slotId: string, value: number, change = {}) =>
    figure(value, { slot: slotId, stepId: stepOf(DEVIATION_ID), unit: 'Hz', ...change })

  it('judges tone and loudest voice in hertz; the worst governs', () => {
    const context = withFigures(landMobile(), [deviation('tone', 1500), deviation('loudest', 2650)])
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
        withFigures(
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
    const result = resultOf(DEVIATION_ID, withFigures(landMobile(), [deviation('loudest', 2495)]))
    expect(slot(result, 'loudest').verdict.state).toBe('too-close')
  })

  it('stands in the middle of what noise may have pushed up', () => {
    const result = resultOf(
      DEVIATION_ID,
      withFigures(landMobile(), [deviation('loudest', 2600, { noiseAdds: 200 })]),
    )
    expect(slot(result, 'loudest').figure!.value).toBe(2500)
    expect(slot(result, 'loudest').verdict.state).toBe('too-close')
  })

  it('is measured and judged at each spacing the set can be switched to (5 kHz in 25 kHz channels, EN 300 086, from memory)', () => {
    const review = landMobile({}, { alsoSpacingsHz: [25_000, 12_500] })
    const wide = `${stepOf(DEVIATION_ID)}:25000`
    const context = withFigures(review, [
      deviation('loudest', 2650),
      deviation('loudest', 4400, { stepId: wide }),
    ])
    const steps = stationById(DEVIATION_ID).plan(review.sets[0]!, context)
    expect(steps.map(({ id, spacingHz, band }) => [id, spacingHz, band.name])).toEqual([
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
    const result = resultOf(DEVIATION_ID, withFigures(landMobile(), [deviation('null-tone', 1000)]))
    expect(slot(result, 'null-tone').figure!.value).toBeCloseTo(2404.8, 0)
    expect(slot(result, 'null-tone').notes[0]).toContain('2.4048')
    expect(firstNullToneHz(landMobile().sets[0]!.bands[0]!)).toBeCloseTo(1039.6, 1)
  })

  it('observes the tone squelch, and asks about absurd figures', () => {
    const result = resultOf(
      DEVIATION_ID,
      withFigures(landMobile(), [
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
      resultOf(DEVIATION_ID, withFigures(landMobile(), [deviation('tone', 4000)])).questions[0]!.words,
    ).toContain('wide')
  })

  it('does not speak of SSB, and knows what spacings are made for', () => {
    const context = withFigures(landMobile({}, { mode: 'SSB' }), [])
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
      withFigures(
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

describe('frequency error', () => {
  const frequency = (slotId: string, errorHz: number) =>
    figure(154e6 + errorHz, { slot: slotId, stepId: stepOf(FREQUENCY_ID), unit: 'Hz', resolution: 1 })

  it('judges the error both ways, and tells the drift', () => {
    const context = withFigures(landMobile(), [frequency('cold', -1700), frequency('warm', 300)])
    const result = resultOf(FREQUENCY_ID, context)
    expect(slot(result, 'cold')).toMatchObject({ words: 'Outside by 200\u00a0Hz' })
    expect(slot(result, 'warm').verdict).toMatchObject({ state: 'inside', scale: { unit: 'Hz', perDb: 150 } })
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
        slot(resultOf(FREQUENCY_ID, withFigures(review, [frequency('warm', errorHz)])), 'warm').verdict.state,
      ).toBe(state)
    const assumed = withFigures(
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
      resultOf(FREQUENCY_ID, withFigures(landMobile(), [frequency('warm', 12_500)])).questions[0]!.words,
    ).toContain('another channel')
    expect(
      resultOf(FREQUENCY_ID, withFigures(landMobile(), [frequency('warm', -153e6)])).questions[0]!.words,
    ).toContain('+120 Hz')
  })
})

describe('occupied bandwidth and neighbours (EN 300 086: 60 dB in 12.5 kHz channels, never asked below 0.2 µW; from memory)', () => {
  const at = (slotId: string, value: number, change = {}) =>
    figure(value, {
      slot: slotId,
      stepId: stepOf(BANDWIDTH_ID),
      unit: slotId === 'obw' ? 'Hz' : 'dB',
      ...change,
    })
  const power = reading('5', { slot: 'carrier', stepId: stepOf('carrier-power'), frequencyHz: 154e6 })

  it('judges the neighbours against the carrier as it was read', () => {
    const result = resultOf(
      BANDWIDTH_ID,
      withFigures(landMobile(), [at('acp-lower-1', -63), at('acp-upper-1', -58), at('obw', 8500)], [power]),
    )
    expect(slot(result, 'acp-lower-1').words).toBe('Inside by 3.0')
    expect(slot(result, 'acp-upper-1').words).toBe('Outside by 2.0')
    expect(slot(result, 'obw')).toMatchObject({
      words: '8.50\u00a0kHz; no figure in law',
      verdict: { state: 'no-figure' },
    })
    expect(result.governs!.slot.id).toBe('acp-upper-1')
  })

  it('takes the claim until the carrier is read, and a bound as a bound', () => {
    const result = resultOf(
      BANDWIDTH_ID,
      withFigures(landMobile(), [
        at('acp-lower-1', -70, { isUpperBound: true }),
        at('acp-upper-1', -50, { isUpperBound: true }),
      ]),
    )
    expect(slot(result, 'acp-lower-1').words).toBe('Inside by at least 10.0')
    expect(slot(result, 'acp-upper-1').verdict.state).toBe('not-covered')
    expect(slot(result, 'acp-lower-1').notes[0]).toContain('claim')
  })

  it('leaves second neighbours to who wants them, asks about a lost sign, and knows no carrier without claim', () => {
    expect(resultOf(BANDWIDTH_ID, withFigures(landMobile(), [])).progress).toEqual({ read: 0, possible: 3 })
    expect(
      resultOf(BANDWIDTH_ID, withFigures(landMobile(), [at('acp-lower-1', 63)])).questions[0]!.words,
    ).toContain('minus sign')
    expect(
      slot(
        resultOf(
          BANDWIDTH_ID,
          withFigures(landMobile({}, { claims: { high: { kind: 'not-said' } } }), [at('acp-lower-1', -63)]),
        ),
        'acp-lower-1',
      ).verdict.state,
    ).toBe('not-covered')
    expect(spacingOf({ ...landMobile().sets[0]!.bands[0]!, channelSpacingHz: null })).toBe(25_000)
    const marine = landMobile(
      {},
      {
        rulebookIds: ['us-marine'],
        channelSpacingHz: 25_000,
        channels: [newChannel({ id: 'c1', name: '', frequencyHz: 156.8e6, harmonics: true })],
      },
    )
    expect(slot(resultOf(BANDWIDTH_ID, withFigures(marine, [at('obw', 21_000)])), 'obw').words).toBe(
      'Outside by 1.0\u00a0kHz',
    )
  })
})

describe('power over time (0.3 dB over five minutes is usual: common practice, no source)', () => {
  const bench = () => reviewOf({ instrument: meter({ id: 'an' }), parts: [pad(0)] })
  const log = (levels: [number, number][]) =>
    levels.map(([seconds, watts]) =>
      reading(`${watts} W`, {
        slot: `t${seconds}`,
        stepId: stepOf(POWER_OVER_TIME_ID),
        frequencyHz: 146.52e6,
      }),
    )

  it('tells the droop, its time constant, and what is left of the claim', () => {
    const moments = [0, 10, 20, 30, 45, 60, 90, 120, 180, 240, 300].map((seconds): [number, number] => [
      seconds,
      Number((5 * 10 ** ((-0.5 * (1 - Math.exp(-seconds / 60))) / 10)).toFixed(4)),
    ])
    const context = withReadings(bench(), log(moments))
    const result = resultOf(POWER_OVER_TIME_ID, context)
    const droop = droopOf(result.slots)!
    expect(droop.droopDb).toBeCloseTo(-0.497, 2)
    expect(droop.timeConstantS! / 60).toBeCloseTo(1, 0)
    expect(result.words).toBe('Power falls by 0.49\u00a0dB in 300\u00a0s')
    expect(slot(result, 't300').verdict.state).not.toBe('observation')
    expect(answerOf(POWER_OVER_TIME_ID, context).detail).toContain('more than the 0.3 dB')
  })

  it('needs two moments, and no time constant where nothing moves', () => {
    expect(droopOf(resultOf(POWER_OVER_TIME_ID, withReadings(bench(), log([[0, 5]]))).slots)).toBeNull()
    expect(timeConstant([0, 10, 20, 30, 60].map(atS => ({ atS, levelDbm: 37 })))).toBeNull()
    expect(
      timeConstant([0, 60, 120, 180, 240, 300].map(atS => ({ atS, levelDbm: 37 - atS / 100 }))),
    ).toBeNull()
    expect(
      resultOf(
        POWER_OVER_TIME_ID,
        withReadings(
          bench(),
          log([
            [0, 5],
            [60, 5],
          ]),
        ),
      ).words,
    ).toBe('Power holds in 60\u00a0s')
    expect(momentOf('t45')).toBe(45)
    expect(momentOf('carrier')).toBeNull()
  })
})

describe('off-air comparison', () => {
  const at = (id: string, value: number) =>
    figure(value, { slot: id, stepId: stepOf(OFF_AIR_ID), unit: 'dBm' })

  it('is relative to the carrier, and never a verdict', () => {
    const result = resultOf(
      OFF_AIR_ID,
      withFigures(reviewOf(), [at('x1', -20), at('x2', -33), at('a2', -80), at('x3', -79), at('a3', -82)]),
    )
    expect(offAirDbc(result)).toBe(-13)
    expect(result).toMatchObject({ words: '−13.0\u00a0dBc at ×2', verdict: { state: 'observation' } })
    expect(slot(result, 'x3').words).toBe('at most −59.0\u00a0dBc')
    expect(slot(result, 'x3').notes[0]).toContain('unkeyed')
    expect(result.step.chainId).toBeNull()
  })

  it('stands beside the control radio at the same place', () => {
    const review = reviewOf()
    const both = {
      ...review,
      sets: [...review.sets, { ...review.sets[0]!, id: 'control', role: 'control' as const }],
    }
    const context = withFigures(both, [
      at('x1', -20),
      at('x2', -33),
      ...[
        ['x1', -20],
        ['x2', -64],
      ].map(([id, value]) =>
        figure(value as number, {
          slot: id as string,
          stepId: stepOf(OFF_AIR_ID),
          unit: 'dBm',
          setId: 'control',
        }),
      ),
    ])
    expect(answerOf(OFF_AIR_ID, context).detail).toContain('control radio shows −44.0\u00a0dBc')
  })
})

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
    const context = withFigures(
      ssb(),
      [imd('imd3', 28), imd('imd5', 40)],
      [level('pep', '12 W'), level('mean', '6 W')],
    )
    const result = resultOf(TWO_TONE_ID, context)
    expect(slot(result, 'imd3').words).toBe('28.0\u00a0dB below either tone, 34.0\u00a0dB below PEP')
    expect(slot(result, 'pep').verdict.state).not.toBe('observation')
    expect(result.questions).toEqual([])
    expect(answerOf(TWO_TONE_ID, context)).toMatchObject({ verdict: { state: 'observation' } })
    expect(imdWords(40, true)).toBe('at least 40.0\u00a0dB below either tone, 46.0\u00a0dB below PEP')
  })

  it('asks when PEP and mean do not go together, and about a sign', () => {
    const result = resultOf(
      TWO_TONE_ID,
      withFigures(ssb(), [imd('imd3', -28)], [level('pep', '12 W'), level('mean', '4 W')]),
    )
    expect(result.questions.map(({ slotId }) => slotId)).toEqual(['mean', 'imd3'])
  })

  it('leaves open of a product what its instrument leaves open of a ratio; a decibel where nobody knows which it was (assumed)', () => {
    const review = ssb()
    const receiver = { ...newReceiver('rx'), ratioDb: 0.3, assumed: false }
    const step = (context: Context) => stationById(TWO_TONE_ID).plan(context.review.sets[0]!, context)[0]!
    const alone = withFigures(review, [])
    expect(readWith(step(alone), 'dB', alone)).toEqual({
      instrumentId: null,
      chainId: null,
      chainRevision: null,
    })
    const beside = withFigures({ ...review, instruments: [...review.instruments, receiver] }, [])
    expect(readWith(step(beside), 'dB', beside)).toEqual({
      instrumentId: 'rx',
      chainId: null,
      chainRevision: null,
    })
    expect(readWith(step(beside), 'V', beside)).toMatchObject({ instrumentId: 'an', chainId: 'ch' })
    const two = withFigures(
      { ...review, instruments: [...review.instruments, receiver, { ...receiver, id: 'rx2' }] },
      [],
    )
    expect(readWith(step(two), 'dB', two).instrumentId).toBeNull()
    // Rectangular ±0.3 dB and ±1 dB: 95 % of it.
    const range = (instrumentId: string | null) =>
      rangeWords(
        slot(
          resultOf(TWO_TONE_ID, withFigures(beside.review, [{ ...imd('imd3', 28), instrumentId }])),
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
    const context = withFigures(reviewOf(), [])
    expect(stationById(TWO_TONE_ID).plan(context.review.sets[0]!, context)).toEqual([])
    expect(answerOf(TWO_TONE_ID, context).words).toBe('Not on this set')
  })
})

describe('open and short', () => {
  const bench = (consent: boolean) => {
    const review = reviewOf({ instrument: meter({ id: 'an' }), parts: [pad(0)] })
    return {
      ...review,
      sets: review.sets.map(set => ({ ...set, stressConsent: consent ? { by: 'the owner', at: AT } : null })),
    }
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
      withFigures(bench(true), [
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

describe('harmonics: moments, ambient, spurs and the pad test', () => {
  const at = (slotId: string, text: string, frequencyHz: number) =>
    reading(text, { slot: slotId, stepId: HARMONICS_STEP, frequencyHz })

  it('judges both moments; the verdict says which governs', () => {
    const result = resultOf(
      'harmonics',
      withReadings(reviewOf(), [harmonic(1, '-13'), harmonic(2, '-80'), at('x2:key-up', '-50', 293.04e6)]),
    )
    expect(slot(result, 'x2').verdict.state).toBe('inside')
    expect(slot(result, 'x2:key-up').verdict.state).toBe('outside')
    expect(result.words).toContain('at key-up')
    expect(result.progress.read).toBe(2)
  })

  it('does not hold against the radio what was there unkeyed', () => {
    const with_ = (ambient: string) =>
      slot(
        resultOf(
          'harmonics',
          withReadings(reviewOf(), [
            harmonic(1, '-13'),
            harmonic(2, '-55'),
            at('x2:ambient', ambient, 293.04e6),
          ]),
        ),
        'x2',
      )
    expect(with_('-90')).toMatchObject({ verdict: { state: 'outside' } })
    expect(with_('-90').notes.join(' ')).toContain('the radio’s own')
    expect(with_('-60').notes.join(' ')).toContain('part of it')
    expect(with_('-56')).toMatchObject({
      verdict: { state: 'not-covered' },
      corrected: { isUpperBound: true },
    })
  })

  it('judges spurs that are no harmonics', () => {
    const result = resultOf(
      'harmonics',
      withReadings(reviewOf(), [harmonic(1, '-13'), at('s311200000', '-52', 311.2e6)]),
    )
    expect(slot(result, 's311200000')).toMatchObject({
      verdict: { state: 'outside' },
      slot: { label: 'spur 311.200\u00a0MHz' },
    })
    expect(result.governs!.slot.id).toBe('s311200000')
    expect(spurSlot(311.2e6 + 0.4).id).toBe('s311200000')
  })

  it('offers the pad test when a verdict hangs on a harmonic, until one is on record', () => {
    const review = reviewOf()
    const readings = [harmonic(1, '-13'), harmonic(2, '-55')]
    expect(resultOf('harmonics', withReadings(review, readings)).offers).toEqual([
      { id: 'pad-test', slotId: 'x2', words: expect.stringContaining('×2') as string },
    ])
    const tested = {
      ...review,
      padTests: [
        {
          id: 'p',
          chainId: 'ch',
          at: AT,
          harmonic: 2,
          frequencyHz: 293.04e6,
          padDb: 10,
          padHalfWidthDb: 0.3,
          withoutDbm: -55,
          withDbm: -65,
          resolutionDb: 0.1,
        },
      ],
    }
    expect(resultOf('harmonics', withReadings(tested, readings)).offers).toEqual([])
    expect(
      resultOf('harmonics', withReadings(review, [harmonic(1, '-13'), harmonic(2, '-80')])).offers,
    ).toEqual([])
  })

  it('names moments in slots and reads them back', () => {
    const two = { id: 'x2', label: '×2', frequencyHz: 2, measures: 'level' as const }
    expect(slotAt(two, 'key-up')).toMatchObject({ id: 'x2:key-up', label: '×2 at key-up', optional: true })
    expect(slotAt(slotAt(two, 'ambient'), 'settled').id).toBe('x2')
    expect([momentOfSlot('x2'), momentOfSlot('x2:key-up'), momentOfSlot('s5:ambient')]).toEqual([
      'settled',
      'key-up',
      'ambient',
    ])
    expect([harmonicOf('x10:key-up'), harmonicOf('s123')]).toEqual([10, null])
  })
})

describe('carrier power: efficiency and steps left out', () => {
  const supply = (id: string, value: number, unit: 'V' | 'A') =>
    figure(value, { slot: id, stepId: POWER_STEP, unit })
  const power = reading('5 W', { slot: 'carrier', stepId: POWER_STEP, frequencyHz: 146.52e6 })
  const bench = () => reviewOf({ instrument: meter({ id: 'an' }), parts: [pad(0)] })

  it('is power out over power in', () => {
    const context = withFigures(
      bench(),
      [supply('supply-v', 7.4, 'V'), supply('supply-a', 1.5, 'A')],
      [power],
    )
    const result = resultOf('carrier-power', context)
    expect(efficiency(result.step, result.slots[0]!.corrected, context)).toBeCloseTo(5 / 11.1, 1)
    expect(slot(result, 'supply-a').words).toMatch(/^efficiency 4\d/)
    const wrong = resultOf(
      'carrier-power',
      withFigures(bench(), [supply('supply-v', 1, 'V'), supply('supply-a', 1, 'A')], [power]),
    )
    expect(slot(wrong, 'supply-a').words).toContain('more out than in')
    expect(efficiency(result.step, null, context)).toBeNull()
  })

  it('says why a step was left out, everywhere', () => {
    const context = withReadings(
      {
        ...bench(),
        skipped: [POWER_STEP, stepOf(DEVIATION_ID), HARMONICS_STEP].map(stepId => ({
          setId: 'set',
          stepId,
          reason: 'no adapter',
          at: AT,
        })),
      },
      [],
    )
    for (const id of ['carrier-power', DEVIATION_ID, 'harmonics'])
      expect(resultOf(id, context).slots[0]!.verdict.why, id).toBe('Left out: no adapter')
    expect(answerOf(DEVIATION_ID, context)).toMatchObject({
      words: 'Left out',
      detail: 'Left out: no adapter',
    })
  })

  it('stations nobody asked for join once something was read', () => {
    expect(wantedStations(withReadings(bench(), [])).map(({ id }) => id)).not.toContain(OFF_AIR_ID)
    expect(
      wantedStations(
        withFigures(bench(), [figure(-20, { slot: 'x1', stepId: stepOf(OFF_AIR_ID), unit: 'dBm' })]),
      ).map(({ id }) => id),
    ).toContain(OFF_AIR_ID)
    const asked = bench()
    expect(
      wantedStations(
        withReadings({ ...asked, settings: { ...asked.settings, alsoStations: [TWO_TONE_ID] } }, []),
      ).map(({ id }) => id),
    ).toContain(TWO_TONE_ID)
  })

  it('words halves of other units', () => {
    expect(halfWidthWords(2, { unit: 'V', scale: { unit: 'V', perDb: 0.5 } })).toBe('±1.0\u00a0V')
    expect(halfWidthWords(2, { unit: 'dBm', scale: null })).toBe('±2.0\u00a0dB')
  })
})
