import type {
  AcVoltmeter,
  AntennaAnalyser,
  AudioMeter,
  Instrument,
  PowerMeter,
  Receiver,
  SignalGenerator,
  SpectrumAnalyser,
} from '#core/chain'
import type { Display } from '#core/uncertainty'
import { DISPLAY_ITEMS } from './displayItems'
import {
  bindFields,
  type BoundField,
  type ChangeOf,
  choice,
  type EditField,
  fieldsFor,
} from '../fields/editField'

/** A figure of the owner's own is no longer assumed. */
const isStated = (draft: { assumed: boolean }) => {
  draft.assumed = false
}
const any = fieldsFor<Instrument>()
const meter = fieldsFor<PowerMeter>()
const receiver = fieldsFor<Receiver>()
const analyser = fieldsFor<SpectrumAnalyser>()
const generator = fieldsFor<SignalGenerator>()
const audio = fieldsFor<AudioMeter>()
const voltmeter = fieldsFor<AcVoltmeter>()
const antenna = fieldsFor<AntennaAnalyser>()

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
  analyser.numberOrNone('scaleDbPer10Db', {
    label: 'Scale off over 10 dB, ±',
    change: 'a scale fidelity',
    unit: 'dB',
    min: 0,
    max: 10,
    empty: '0.2 assumed',
  }),
  choice<SpectrumAnalyser, Display>(
    { label: 'How it shows a level', change: 'how an analyser shows a level', items: DISPLAY_ITEMS },
    it => it.detection.shows,
    (draft, shows) => {
      draft.detection = { shows, looks: null }
    },
  ),
  {
    as: 'number-or-none',
    label: 'Sweeps averaged or held',
    change: 'how many sweeps an analyser shows',
    min: 1,
    max: 1e6,
    empty: 'not known',
    of: it => it.detection.looks,
    set: (draft, looks) => {
      draft.detection.looks = looks === null ? null : Math.round(looks)
    },
  },
  analyser.number('resolution', { label: 'Last digit', change: 'a resolution', unit: 'dB', min: 0, max: 20 }),
  analyser.numberOrNone('referencePpm', REFERENCE),
]

const GENERATOR_LEVEL = { unit: 'dBm', min: -170, max: 60, change: 'a generator’s range of levels' }
const GENERATOR: readonly EditField<SignalGenerator>[] = [
  generator.number('lowestDbm', { label: 'Lowest level', ...GENERATOR_LEVEL }),
  generator.number('highestDbm', { label: 'Highest level', ...GENERATOR_LEVEL }),
  generator.number(
    'levelAccuracyDb',
    { label: 'Level accuracy ±', change: 'an accuracy', ...HALF_WIDTH },
    isStated,
  ),
  generator.number('resolution', {
    label: 'Step of its level',
    change: 'a level step',
    unit: 'dB',
    min: 0,
    max: 20,
  }),
  generator.choice('setIn', {
    label: 'Set in',
    change: 'the unit of a generator',
    items: [
      { value: 'dBm', title: 'dBm' },
      { value: 'µV', title: 'µV' },
      { value: 'dBµV', title: 'dBµV' },
    ] as const,
  }),
  generator.choice('voltageIs', {
    label: 'A voltage on it is',
    change: 'what a generator’s voltage means',
    items: [
      { value: 'pd', title: 'across the load (pd)' },
      { value: 'emf', title: 'behind its 50 Ω (emf)' },
    ] as const,
  }),
  generator.numberOrNone('reverseW', {
    label: 'Reverse power it survives',
    change: 'a reverse power',
    empty: 'not said: 10 mW assumed',
    ...WATTS,
  }),
  generator.choice('channels', {
    label: 'Outputs',
    change: 'the outputs of a generator',
    items: [
      { value: 1, title: 'one' },
      { value: 2, title: 'two, each its own' },
    ] as const,
  }),
  generator.choice('build', {
    label: 'Noise, where its table is empty, as',
    change: 'the kind of a generator',
    items: [
      { value: 'pocket', title: 'a pocket one: −95 dBc/Hz at 20 kHz' },
      { value: 'laboratory', title: 'a laboratory one: −120 dBc/Hz at 20 kHz' },
    ] as const,
  }),
  choice<SignalGenerator, string>(
    {
      label: 'Modulates',
      change: 'the modulations of a generator',
      items: [
        { value: 'AM,FM', title: 'AM and FM' },
        { value: 'FM', title: 'FM' },
        { value: 'AM', title: 'AM' },
        { value: '', title: 'not at all' },
      ],
    },
    it => [...it.modulations].sort().join(','),
    (draft, value) => {
      draft.modulations = value === '' ? [] : (value.split(',') as SignalGenerator['modulations'])
    },
  ),
  {
    as: 'text',
    label: 'Tones of its own, Hz',
    change: 'the tones of a generator',
    placeholder: '400, 1000',
    of: it => it.tonesHz.join(', '),
    set: (draft, text) => {
      draft.tonesHz = text
        .split(/[,;\s]+/)
        .map(Number)
        .filter(hz => hz > 0 && hz < 1e5)
        .slice(0, 40)
    },
  },
  generator.numberOrNone('referencePpm', REFERENCE),
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
