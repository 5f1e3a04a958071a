import { describe, expect, it, vi } from 'vitest'
import { newPart, newPowerMeter, newReceiver, newSpectrumAnalyser } from '#core/chain'
import type { PowerLimit } from '#core/rules'
import { instrumentFields } from '~/components/bench/instrumentFields'
import { partFields } from '~/components/bench/partFields'
import { batteryFields, cardFields } from '~/components/card/cardFields'
import { limitFields } from '~/components/rules/limitFields'
import type { BoundField, ChangeOf } from '~/components/fields/editField'
import { radio } from '../support/bench'

/** Keeps a value in the field of that label, on a copy of the thing; what undo calls it comes back too. */
function keeping<T>(it: T, fieldsOf: (it: T, change: ChangeOf<T>) => BoundField[]) {
  return (label: string, value: unknown): { kept: T; change: string | null } => {
    const kept = structuredClone(it)
    let change: string | null = null
    const fields = fieldsOf(it, (words, recipe) => {
      change = words
      recipe(kept)
    })
    const field = fields.filter(one => one.label === label).at(-1)
    if (!field) throw new Error(`No field “${label}” among ${fields.map(one => one.label).join(', ')}`)
    const keep = field.keep as (value: unknown) => void
    keep(value)
    return { kept, change }
  }
}

const labelsOf = (fields: BoundField[]) => fields.map(({ label }) => label)

describe('the fields of an instrument', () => {
  it.each([
    ['meter', newPowerMeter('i'), ['Accuracy ±', 'Percent', 'How it sits'], ['Noise floor']],
    ['analyser', newSpectrumAnalyser('i'), ['Noise floor', 'Frequency reference ±'], ['Percent']],
    ['receiver', newReceiver('i'), ['Deviation known to ±', 'Ratios known to ±'], ['Full scale']],
  ])('are those of a %s', (_kind, instrument, has, lacks) => {
    const labels = labelsOf(instrumentFields(instrument, vi.fn()))
    expect(labels).toEqual(expect.arrayContaining(has))
    for (const label of lacks) expect(labels).not.toContain(label)
  })

  it('change one figure; an accuracy of the owner’s own is no longer assumed', () => {
    const meter = { ...newPowerMeter('i'), assumed: true }
    const { kept, change } = keeping(meter, instrumentFields)('Accuracy ±', 3)
    expect([change, kept]).toEqual(['an accuracy', { ...meter, accuracyPercent: 3, assumed: false }])
    expect(keeping(meter, instrumentFields)('Last digit', 0.1).kept).toEqual({ ...meter, resolution: 0.1 })
  })

  it('take only what is offered, and no empty name', () => {
    const meter = newPowerMeter('i')
    expect(keeping(meter, instrumentFields)('Percent', 'full-scale').kept.accuracyOf).toBe('full-scale')
    expect(keeping(meter, instrumentFields)('Percent', 'of the moon').kept).toEqual(meter)
    expect(keeping(meter, instrumentFields)('Name', '').change).toBeNull()
    expect(keeping(meter, instrumentFields)('Note', '').change).not.toBeNull()
  })

  it('never reach a draft that has become another kind', () => {
    const analyser = newSpectrumAnalyser('i')
    const meter = newPowerMeter('i')
    const floor = instrumentFields(analyser, (_words, recipe) => recipe(meter)).find(
      ({ label }) => label === 'Noise floor',
    )!
    if (floor.as === 'number') floor.keep(-90)
    expect(meter).toEqual(newPowerMeter('i'))
  })
})

describe('the fields of a part', () => {
  const pad = { ...newPart('p', 'pad'), loss: { kind: 'figure' as const, lossDb: 20 } }

  it('follow how its loss is given', () => {
    const coax = {
      ...pad,
      loss: { kind: 'coax' as const, lengthM: 2, rootDbPer100M: 14, linearDbPer100M: 2 },
    }
    expect(labelsOf(partFields(pad, vi.fn())).filter(label => label === 'Loss')).toHaveLength(2)
    expect(labelsOf(partFields(coax, vi.fn()))).toContain('√f term, 100 m at 100 MHz')
    expect(keeping(coax, partFields)('Length', 3).kept.loss).toEqual({ ...coax.loss, lengthM: 3 })
  })

  it('keep the figure when the loss is given in another way', () => {
    const choose = partFields(pad, (_words, recipe) => recipe(kept)).find(({ key }) => key === 'choice:Loss')!
    const kept = structuredClone<typeof pad | ReturnType<typeof newPart>>(pad)
    if (choose.as === 'choice') choose.keep('table')
    expect(kept.loss).toEqual({ kind: 'table', points: [{ frequencyHz: 100e6, lossDb: 20 }] })
  })

  it('show a share in percent and keep it as a share', () => {
    const part = { ...pad, lossUncertainty: { ...pad.lossUncertainty, shareOfLoss: 0.02 } }
    const field = partFields(part, vi.fn()).find(({ label }) => label === 'and of the loss itself ±')
    expect(field).toMatchObject({ value: 2 })
    expect(keeping(part, partFields)('and of the loss itself ±', 5).kept.lossUncertainty.shareOfLoss).toBe(
      0.05,
    )
  })

  it('say the least and the most that may be typed', () => {
    const rating = partFields(pad, vi.fn()).find(({ label }) => label === 'Power rating')
    expect(rating).toMatchObject({ typed: { unit: 'W', min: 0.001, max: 1e5, optional: true } })
    const vswr = partFields(pad, vi.fn()).find(({ label }) => label === 'VSWR')
    expect(vswr).toMatchObject({ typed: { min: 1, max: 1000, optional: false } })
  })
})

describe('the fields of a card', () => {
  it('change one line, and the battery’s label inside the set', () => {
    const set = radio()
    expect(keeping(set, cardFields)('Price', '£38').kept).toEqual({ ...set, price: '£38' })
    const { kept, change } = keeping(set, batteryFields)('Capacity', 1.8)
    expect([change, kept.battery.capacityAh]).toEqual(['the battery label', 1.8])
    expect(keeping(set, batteryFields)('Energy', null).kept.battery.energyWh).toBeNull()
  })
})

describe('the fields of a limit', () => {
  const keepIn = (limit: PowerLimit, label: string, value: number | string): PowerLimit | null => {
    let kept: PowerLimit | null = null
    const field = limitFields(limit, next => (kept = next)).find(one => one.label === label)!
    const keep = field.keep as (value: unknown) => void
    keep(value)
    return kept
  }

  it.each([
    [{ kind: 'absolute', powerW: 1e-6 }, 'Power', 25, { kind: 'absolute', powerW: 25e-6 }],
    [
      { kind: 'relative', attenuationDb: 60 },
      'Below the carrier',
      40,
      { kind: 'relative', attenuationDb: 40 },
    ],
    [
      { kind: 'offset-plus-log-power', offsetDb: 43 },
      'Offset',
      50,
      { kind: 'offset-plus-log-power', offsetDb: 50 },
    ],
    [{ kind: 'slope', law: 'linear', a: 1, b: 2 }, 'b', 3, { kind: 'slope', law: 'linear', a: 1, b: 3 }],
    [
      { kind: 'slope', law: 'linear', a: 1, b: 2 },
      'Law, f in kHz',
      'log',
      { kind: 'slope', law: 'log', a: 1, b: 2 },
    ],
  ] satisfies [PowerLimit, string, number | string, PowerLimit][])(
    '%o: %s',
    (limit, label, value, expected) => {
      const before = structuredClone(limit)
      const kept = keepIn(limit, label, value)
      expect(kept).toEqual(expected)
      expect(limit).toEqual(before)
    },
  )

  it('shows microwatts of what is kept in watts', () => {
    expect(limitFields({ kind: 'absolute', powerW: 25e-6 }, vi.fn())[0]).toMatchObject({ value: 25 })
  })
})
