import { describe, expect, it } from 'vitest'
import type { BatteryLabel, Review } from '#core/review'
import { BATTERY_ID, CARRIER_POWER_ID, type BatteryMemo, stationById } from '#core/station'
import type { FigureUnit } from '#core/quantity'
import { readingsCsv } from '#core/report'
import { figure, meter, pad, radio, reading, reviewOf, withReadings } from '../../../support/bench'
import { plain } from '../../../support/results'
import { resultOf, slot, stepOf } from '../../../support/stations'

const LABEL: BatteryLabel = { voltageV: 7.4, capacityAh: 1.8, energyWh: 13.32 }

function bench(memo: BatteryMemo | null = null, battery = LABEL): Review {
  const review = reviewOf({
    instrument: meter({ id: 'an' }),
    parts: [pad(0)],
    set: radio({ battery, kind: 'handheld' }),
  })
  return { ...review, memos: memo ? { [BATTERY_ID]: { common: memo, bySet: {} } } : {} }
}

const seen = (id: string, value: number, unit: FigureUnit, resolution = 0) =>
  figure(value, { slot: id, stepId: BATTERY_ID, stationId: BATTERY_ID, unit, seen: { resolution } })
const currents = [seen('standby', 0.045, 'A'), seen('audio', 0.18, 'A'), seen('transmit-high', 1.62, 'A')]
const discharge = (amperes: number, hours: number) => [
  seen('discharge-a', amperes, 'A'),
  seen('discharge-h', hours, 'h'),
]
const EXACT: BatteryMemo = { duty: null, ammeterPercent: 0 }
const resultWith = (readings: ReturnType<typeof seen>[], review = bench()) =>
  resultOf(BATTERY_ID, withReadings(review, readings))

describe('battery: how long a charge lasts', () => {
  it('is the capacity over the duty’s mean current: 1.8 Ah at 130.5 mA are 13.79 h', () => {
    // 0.05 × 1620 + 0.05 × 180 + 0.9 × 45 = 130.5 mA; at 10/10/80: 216 mA.
    const result = resultWith([...currents, ...discharge(0.9, 2)])
    expect(slot(result, 'life-5-5-90').found!.value).toBeCloseTo(1.8 / 0.1305, 9)
    expect(slot(result, 'life-10-10-80').found!.value).toBeCloseTo(1.8 / 0.216, 9)
  })

  it('says where the charge goes: 62 % into transmitting at 5/5/90', () => {
    const { notes } = slot(resultWith(currents), 'life-5-5-90')
    expect(plain(notes.join(' '))).toContain(
      '62 % goes into transmitting, 7 % into receiving, 31 % into waiting',
    )
  })

  it('an ammeter that read capacity and currents reads both wrong alike: nothing of it is left', () => {
    const range = (readings: ReturnType<typeof seen>[], percent: number) =>
      slot(resultWith(readings, bench({ duty: null, ammeterPercent: percent })), 'life-5-5-90').found!.budget
        .range
    expect(range([...currents, ...discharge(0.9, 2)], 3)).toBe(0)
    // A log has an ammeter of its own: 3 % twice, rectangular.
    const logged = [...currents, seen('logged', 1.8, 'Ah')]
    const hours = 1.8 / 0.1305
    expect(range(logged, 3)).toBeGreaterThan(hours * 0.03)
    expect(range(logged, 3)).toBeLessThan(hours * 0.06)
    expect(range(logged, 6)).toBeCloseTo(2 * range(logged, 3), 6)
  })

  it('takes the label where nobody discharged it, ±10 % and said so', () => {
    const life = slot(resultWith(currents, bench(EXACT)), 'life-5-5-90')
    expect(life.found!.budget.contributions).toEqual([
      expect.objectContaining({ id: 'label', assumed: true, halfWidth: expect.closeTo(0.18 / 0.1305, 9) }),
    ])
    expect(plain(life.notes[0]!)).toContain('1.80 Ah, as the label says; nobody discharged it')
  })

  it('a last digit counts by its share of the time', () => {
    const rough = [currents[0]!, currents[1]!, seen('transmit-high', 1.62, 'A', 0.1)]
    const { contributions } = slot(resultWith([...rough, ...discharge(0.9, 2)], bench(EXACT)), 'life-5-5-90')
      .found!.budget
    const hours = 1.8 / 0.1305
    expect(contributions.map(({ id, halfWidth }) => [id, halfWidth])).toEqual([
      ['digit:transmit', expect.closeTo((hours * 0.05 * 0.05) / 0.1305, 9)],
    ])
  })

  it('has the reviewer’s own duty beside the usual ones', () => {
    const own = bench({ duty: { transmitPercent: 20, audioPercent: 30 }, ammeterPercent: 0 })
    const life = slot(resultWith([...currents, ...discharge(0.9, 2)], own), 'life-own')
    expect(life.slot.label).toContain('20/30/50, own')
    expect(life.found!.value).toBeCloseTo(1.8 / (0.2 * 1.62 + 0.3 * 0.18 + 0.5 * 0.045), 9)
  })

  it('waits with the saver on where that was read, else squelched', () => {
    const without = [seen('squelched', 0.09, 'A'), ...currents.slice(1), ...discharge(0.9, 2)]
    const life = (readings: ReturnType<typeof seen>[]) => slot(resultWith(readings), 'life-5-5-90')
    expect(life(without).found!.value).toBeCloseTo(1.8 / (0.081 + 0.009 + 0.081), 9)
    expect(life([...without, currents[0]!]).found!.value).toBeCloseTo(1.8 / 0.1305, 9)
    expect(life(currents.slice(1))).toMatchObject({ found: null, state: 'open' })
  })
})

describe('battery: what the pack holds', () => {
  const capacity = (hours: number, review = bench()) =>
    slot(resultWith(discharge(0.36, hours), review), 'capacity')

  it('mean current times time, judged by its label on both sides of it', () => {
    expect(capacity(4.6).found!.value).toBeCloseTo(1.656, 9)
    // ±1.5 % rectangular: 1.8 Ah is reached for sure from 0.95 of that width on.
    expect(capacity(4.6).verdict.state).toBe('outside')
    expect(capacity(5).verdict.state).toBe('too-close')
    expect(capacity(5.1).verdict.state).toBe('inside')
    expect(plain(capacity(4.6).words)).toBe('Short of its label by 0.14 Ah')
    expect(plain(capacity(5.1).words)).toBe('Holds the 1.80 Ah of its label')
  })

  it('is only shown where the label says nothing', () => {
    const none = capacity(5, bench(null, { voltageV: null, capacityAh: null, energyWh: null }))
    expect(none).toMatchObject({ claim: null, verdict: { state: 'observation' } })
  })

  it('a log goes before what was typed', () => {
    const both = slot(resultWith([...discharge(0.36, 5), seen('logged', 1.5, 'Ah')]), 'capacity')
    expect(both.found!.value).toBe(1.5)
  })

  it('5800 mAh at 7.4 V in 120 g is more than a cell holds, and is asked about (practice)', () => {
    const big = bench(null, { voltageV: 7.4, capacityAh: 5.8, energyWh: 42.92 })
    const asked = (grams: number) =>
      resultWith([seen('weight', grams, 'g')], big).questions.filter(({ slotId }) => slotId === 'by-weight')
    // 300 Wh/kg of 42.92 Wh are 143.07 g.
    expect(asked(143)).toHaveLength(1)
    expect(asked(143.2)).toEqual([])
    const volume = (cm3: number) =>
      resultWith([seen('volume', cm3, 'cm³')], big).questions.filter(({ slotId }) => slotId === 'by-volume')
    // 750 Wh/l: 57.23 cm³.
    expect(volume(57)).toHaveLength(1)
    expect(volume(57.5)).toEqual([])
  })

  it('a label that contradicts itself is asked about', () => {
    const wrong = bench(null, { voltageV: 3.7, capacityAh: 2.6, energyWh: 10.2 })
    expect(resultWith([], wrong).questions[0]!.words).toContain('The label contradicts itself')
    expect(resultWith([]).questions).toEqual([])
  })
})

describe('battery: currents and efficiency', () => {
  it('asks where receiving draws more than transmitting, or waiting more than receiving', () => {
    const asked = (readings: ReturnType<typeof seen>[]) =>
      resultWith(readings).questions.map(({ slotId }) => slotId)
    expect(asked(currents)).toEqual([])
    expect(asked([seen('standby', 0.2, 'A'), currents[1]!])).toEqual(['audio'])
    expect(asked([currents[1]!, seen('transmit-high', 0.1, 'A')])).toEqual(['transmit-high'])
  })

  it('is power over volts times amperes: 4.85 W of 7.5 V × 1.62 A are 39.9 %', () => {
    const power = reading('4.85 W', {
      slot: 'carrier',
      stepId: stepOf(CARRIER_POWER_ID),
      stationId: CARRIER_POWER_ID,
      frequencyHz: 146.52e6,
    })
    const known = [...currents, seen('supply-v', 7.5, 'V')]
    const efficiency = (readings: ReturnType<typeof seen>[]) =>
      slot(resultOf(BATTERY_ID, withReadings(bench(EXACT), [...readings, power])), 'efficiency')
    expect(efficiency(known).found!.value).toBeCloseTo((100 * 4.85) / 12.15, 2)
    // The meter is good to 5 % of the power: about 2 of 39.9.
    expect(efficiency(known).found!.budget.range).toBeGreaterThan(1.5)
    expect(efficiency(known).found!.budget.range).toBeLessThan(2.5)
    expect(efficiency(currents).found).toBeNull()
    const absurd = [seen('transmit-high', 0.8, 'A'), seen('supply-v', 7.5, 'V'), power]
    expect(resultOf(BATTERY_ID, withReadings(bench(), absurd)).questions[0]!.words).toContain(
      'more than a transmitter',
    )
  })

  it('a mobile without a pack has currents only', () => {
    const mobile = reviewOf({
      set: radio({ kind: 'mobile', battery: { ...LABEL, voltageV: null, capacityAh: null, energyWh: null } }),
    })
    const { step } = resultOf(BATTERY_ID, withReadings(mobile, []))
    expect(step.slots.map(({ id }) => id)).toEqual([
      ...['standby', 'squelched', 'audio', 'transmit-high', 'supply-v', 'efficiency'],
    ])
  })
})

describe('a step of the whole set', () => {
  const context = withReadings(bench(), [...currents, ...discharge(0.36, 4.6)])

  it('is planned once, whatever bands and channels there are', () => {
    expect(
      stationById(BATTERY_ID)
        .plan(context.review.sets[0]!, context)
        .map(({ id }) => id),
    ).toEqual([BATTERY_ID])
  })

  it('stands in the CSV without band and frequency', () => {
    const row = readingsCsv(context)
      .split(/\r?\n/)
      .find(line => line.includes('Waiting, saver on'))!
    expect(row).toContain(',Battery and supply,,,,"Waiting, saver on",,')
  })

  it('answers both questions', () => {
    const station = stationById(BATTERY_ID)
    const [pack, lasts] = station.questions([], context)
    const set = context.review.sets[0]!
    expect(station.answer(pack!, set, context)).toMatchObject({
      verdict: { state: 'outside' },
      detail: 'Capacity',
    })
    expect(plain(station.answer(lasts!, set, context).words)).toMatch(/^12\.7 h ±/)
  })
})
