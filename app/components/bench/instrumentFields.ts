import type { Instrument, PowerMeter, Receiver, SpectrumAnalyser } from '#core/chain'
import { bindFields, type BoundField, type ChangeOf, type EditField, fieldsFor } from '../fields/editField'

/** A figure of the owner's own is no longer assumed. */
const isStated = (draft: { assumed: boolean }) => {
  draft.assumed = false
}
const any = fieldsFor<Instrument>()
const meter = fieldsFor<PowerMeter>()
const receiver = fieldsFor<Receiver>()
const analyser = fieldsFor<SpectrumAnalyser>()

const LEVEL = { unit: 'dBm', min: -100, max: 100 }
const WATTS = { unit: 'W', min: 0.000001, max: 100_000 }
const HALF_WIDTH = { unit: 'dB', min: 0, max: 60 }
const DAMAGE = { label: 'Damage above', change: 'a damage level', ...LEVEL }
const OVERLOAD = { label: 'Overload above', change: 'an overload level', ...LEVEL }
const REFERENCE = {
  label: 'Frequency reference ±',
  change: 'a frequency reference',
  unit: 'ppm',
  min: 0,
  max: 1000,
  empty: 'not stated',
}

const ANY: readonly EditField<Instrument>[] = [
  any.text('name', { label: 'Name', change: 'an instrument’s name', required: true }),
  any.text('note', { label: 'Note', change: 'an instrument’s note' }),
  any.number('fromHz', { label: 'Range from', change: 'an instrument’s range', frequency: true }),
  any.number('toHz', { label: 'Range to', change: 'an instrument’s range', frequency: true }),
  any.number('vswr', { label: 'VSWR', change: 'a VSWR', min: 1, max: 1000 }),
]

const METER: readonly EditField<PowerMeter>[] = [
  meter.number(
    'accuracyPercent',
    { label: 'Accuracy ±', change: 'an accuracy', unit: '%', min: 0, max: 1000 },
    isStated,
  ),
  meter.choice('accuracyOf', {
    label: 'Percent',
    change: 'an accuracy',
    items: [
      { value: 'reading', title: 'of reading' },
      { value: 'full-scale', title: 'of full scale' },
    ] as const,
  }),
  meter.number('fullScaleW', { label: 'Full scale', change: 'a full scale', ...WATTS }),
  meter.number('maxInputW', { label: 'Most it bears', change: 'a largest input', ...WATTS }),
  meter.number('resolution', { label: 'Last digit', change: 'a resolution', unit: 'W', min: 0, max: 1000 }),
  meter.choice('inLine', {
    label: 'How it sits',
    change: 'how a meter sits',
    items: [
      { value: true, title: 'In line, a load behind it' },
      { value: false, title: 'Ends the chain itself' },
    ],
  }),
]

const RECEIVER: readonly EditField<Receiver>[] = [
  receiver.number('damageDbm', DAMAGE),
  receiver.number('overloadDbm', OVERLOAD),
  receiver.number(
    'deviationPercent',
    { label: 'Deviation known to ±', change: 'an accuracy', unit: '%', min: 0, max: 100 },
    isStated,
  ),
  receiver.number('ratioDb', { label: 'Ratios known to ±', change: 'an accuracy', ...HALF_WIDTH }, isStated),
  receiver.numberOrNone('referencePpm', REFERENCE),
]

const ANALYSER: readonly EditField<SpectrumAnalyser>[] = [
  analyser.number('damageDbm', DAMAGE),
  analyser.number('overloadDbm', OVERLOAD),
  analyser.numberOrNone('flatnessDb', {
    label: 'of which over frequency ±',
    change: 'an accuracy',
    ...HALF_WIDTH,
    empty: 'not known: all of it',
  }),
  analyser.number('floorDbm', {
    label: 'Noise floor',
    change: 'a noise floor',
    unit: 'dBm',
    min: -200,
    max: 50,
  }),
  analyser.number('floorDoubtDb', {
    label: 'Floor known to ±',
    change: 'how well a floor is known',
    ...HALF_WIDTH,
  }),
  analyser.number('resolutionBandwidthHz', {
    label: 'Resolution bandwidth',
    change: 'a resolution bandwidth',
    frequency: true,
  }),
  analyser.number(
    'amplitudeAccuracyDb',
    { label: 'Amplitude accuracy ±', change: 'an accuracy', ...HALF_WIDTH },
    isStated,
  ),
  analyser.number('resolution', { label: 'Last digit', change: 'a resolution', unit: 'dB', min: 0, max: 20 }),
  analyser.numberOrNone('referencePpm', REFERENCE),
]

/** The fields of an instrument, by its kind. */
export function instrumentFields(instrument: Instrument, change: ChangeOf<Instrument>): BoundField[] {
  return [...bindFields(instrument, ANY, change), ...ofKind(instrument, change)]
}

/** A change of an instrument never meets a draft of another kind. */
function ofKind(instrument: Instrument, change: ChangeOf<Instrument>): BoundField[] {
  const only =
    <T extends Instrument>(kind: T['kind']): ChangeOf<T> =>
    (label, recipe) =>
      change(label, draft => {
        if (draft.kind === kind) recipe(draft as T)
      })
  switch (instrument.kind) {
    case 'power-meter':
      return bindFields(instrument, METER, only('power-meter'))
    case 'receiver':
      return bindFields(instrument, RECEIVER, only('receiver'))
    case 'spectrum-analyser':
      return bindFields(instrument, ANALYSER, only('spectrum-analyser'))
  }
}
