import { describe, expect, it } from 'vitest'
import { findings } from '#core/findings'
import { POWER_OVER_TIME_ID, stationById } from '#core/station'
import { figure, meter, POWER_STEP, radio, reading, reviewOf, withReadings } from '../../../support/bench'
import { resultOf, slot, stepOf } from '../../../support/stations'

/** Carrier power of a set rated 5 W at 155 MHz, read to ±3 %. */
function judgedBy(rulebookId: string, watts: string, change: Parameters<typeof radio>[0] = {}) {
  const set = radio(change, { mhz: 155 })
  const context = withReadings(
    reviewOf({
      instrument: meter({ accuracyPercent: 3 }),
      parts: [],
      set,
      settings: { rulebookIds: [rulebookId] },
    }),
    [reading(watts, { slot: 'carrier', stepId: POWER_STEP, frequencyHz: 155e6, instrumentId: 'pm' })],
  )
  const station = stationById('carrier-power')
  return station.evaluate(station.plan(context.review.sets[0]!, context)[0]!, context).slots[0]!.each
}

describe('EN 300 086: ±1.5 dB of the rated power (from memory)', () => {
  // 1.5 dB are 3.54 W and 7.06 W of 5 W; ±3 % are ±0.13 dB.
  it.each([
    ['2.5', 'outside'],
    ['3.4', 'outside'],
    ['3.54', 'too-close'],
    ['3.7', 'inside'],
    ['6.8', 'inside'],
    ['7.06', 'too-close'],
    ['7.4', 'outside'],
  ])('%s W is %s', (watts, state) => {
    const [only, ...more] = judgedBy('eu-land-mobile', watts)
    expect(more).toEqual([])
    expect(only).toMatchObject({ limit: { kind: 'scalar' }, verdict: { state } })
  })
})

describe('EN 300 162: 6 to 25 W on high, 0.1 to 1 W on low (from memory)', () => {
  const mobile = { kind: 'mobile' as const }
  it.each([
    ['3', 'outside'],
    ['6', 'too-close'],
    ['7', 'inside'],
    ['24', 'inside'],
    ['27', 'outside'],
  ])('%s W on the only level is %s', (watts, state) => {
    const set = radio(mobile, { mhz: 157 })
    const context = withReadings(
      reviewOf({
        instrument: meter({ accuracyPercent: 3 }),
        parts: [],
        set,
        settings: { rulebookIds: ['eu-marine'] },
      }),
      [reading(watts, { slot: 'carrier', stepId: POWER_STEP, frequencyHz: 157e6, instrumentId: 'pm' })],
    )
    const station = stationById('carrier-power')
    const { each } = station.evaluate(station.plan(context.review.sets[0]!, context)[0]!, context).slots[0]!
    expect(each[0]!.verdict.state).toBe(state)
  })
})

describe('the same on a set of two levels: each by its own clause', () => {
  const set = radio({ kind: 'mobile' }, { mhz: 157 })
  const low = { id: 'low', name: 'Low' }
  const two = {
    ...set,
    levels: [...set.levels, low],
    bands: set.bands.map(band => ({
      ...band,
      levelIds: ['high', 'low'],
      claims: { ...band.claims, low: { kind: 'watts' as const, powerW: 1 } },
    })),
  }
  it.each([
    ['high', '0.9', 'outside'],
    ['high', '15', 'inside'],
    ['low', '0.9', 'inside'],
    ['low', '1.2', 'outside'],
    ['low', '0.09', 'outside'],
    ['low', '15', 'outside'],
  ])('on %s %s W is %s', (level, watts, state) => {
    const stepId = POWER_STEP.replace('high', level)
    const context = withReadings(
      reviewOf({
        instrument: meter({ accuracyPercent: 3 }),
        parts: [],
        set: two,
        settings: { rulebookIds: ['eu-marine'] },
      }),
      [reading(watts, { slot: 'carrier', stepId, frequencyHz: 157e6, instrumentId: 'pm' })],
    )
    const station = stationById('carrier-power')
    const step = station.plan(context.review.sets[0]!, context).find(({ id }) => id === stepId)!
    expect(station.evaluate(step, context).slots[0]!.each[0]!.verdict.state).toBe(state)
  })
})

describe('EN 303 405: a time-out of 180 s at most (from memory)', () => {
  const review = () =>
    reviewOf({
      instrument: meter({ id: 'an' }),
      parts: [],
      set: radio({}, { mhz: 446.1 }),
      settings: { rulebookIds: ['eu-pmr446'], alsoStations: [POWER_OVER_TIME_ID] },
    })
  it.each([
    ['170 s', 'inside'],
    ['180 s', 'too-close'],
    ['190 s', 'outside'],
  ])('%s is %s', (text, state) => {
    const context = withReadings(review(), [
      figure(Number.parseInt(text), { stepId: stepOf(POWER_OVER_TIME_ID), slot: 'time-out', unit: 's' }),
    ])
    expect(slot(resultOf(POWER_OVER_TIME_ID, context), 'time-out').verdict.state).toBe(state)
    const row = findings(context).rows.find(({ question }) => question.id === 'time-out')!
    expect(row.answers[0]!.answer.verdict.state).toBe(state)
  })
  it('is not asked where no rulebook asks for it', () => {
    const context = withReadings(
      { ...review(), settings: { ...review().settings, rulebookIds: ['us-amateur'] } },
      [],
    )
    expect(findings(context).rows.some(({ question }) => question.id === 'time-out')).toBe(false)
  })
})
