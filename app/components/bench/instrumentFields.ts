import type { AcVoltmeter, AntennaAnalyser, AudioMeter, Instrument, PowerMeter, Receiver } from '#core/chain'
import { bindFields, type BoundField, type ChangeOf, type EditField, fieldsFor } from '../fields/editField'
import { ANALYSER } from './analyserFields'
import { GENERATOR } from './generatorFields'
import { DAMAGE, HALF_WIDTH, isStated, OVERLOAD, REFERENCE, WATTS } from './instrumentRanges'

const any = fieldsFor<Instrument>()
const meter = fieldsFor<PowerMeter>()
const receiver = fieldsFor<Receiver>()
const audio = fieldsFor<AudioMeter>()
const voltmeter = fieldsFor<AcVoltmeter>()
const antenna = fieldsFor<AntennaAnalyser>()

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
  meter.choice('sensor', {
    label: 'What it feels',
    change: 'what a meter feels',
    items: [
      { value: 'unknown', title: 'nobody knows' },
      { value: 'thermal', title: 'heat: the power, harmonics and all' },
      { value: 'diode', title: 'the peak of the voltage (diode)' },
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

const AUDIO: readonly EditField<AudioMeter>[] = [
  audio.number('sinadDb', { label: 'SINAD known to ±', change: 'an accuracy', ...HALF_WIDTH }, isStated),
  audio.number('voltsPercent', {
    label: 'Volts known to ±',
    change: 'an accuracy',
    unit: '%',
    min: 0,
    max: 100,
  }),
]

const VOLTMETER: readonly EditField<AcVoltmeter>[] = [
  voltmeter.number(
    'accuracyPercent',
    { label: 'Accuracy ±', change: 'an accuracy', unit: '%', min: 0, max: 100 },
    isStated,
  ),
  voltmeter.number('fullScaleV', {
    label: 'Full scale',
    change: 'a full scale',
    unit: 'V',
    min: 0.001,
    max: 10_000,
  }),
]

const ANTENNA: readonly EditField<AntennaAnalyser>[] = [
  antenna.number(
    'directivityDb',
    { label: 'Directivity', change: 'a directivity', unit: 'dB', min: 0, max: 120 },
    isStated,
  ),
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
    case 'signal-generator':
      return bindFields(instrument, GENERATOR, only('signal-generator'))
    case 'audio-meter':
      return bindFields(instrument, AUDIO, only('audio-meter'))
    case 'ac-voltmeter':
      return bindFields(instrument, VOLTMETER, only('ac-voltmeter'))
    case 'antenna-analyser':
      return bindFields(instrument, ANTENNA, only('antenna-analyser'))
  }
}
