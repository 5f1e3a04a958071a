import { UNKNOWN_DETECTION } from '../uncertainty'
import { libraryPart } from './partLibrary.table'
import type {
  AcVoltmeter,
  AntennaAnalyser,
  AudioMeter,
  Chain,
  Instrument,
  Part,
  PartKind,
  PowerMeter,
  Receiver,
  SignalGenerator,
  SpectrumAnalyser,
} from './types'

const PLAIN: Record<PartKind, { name: string; libraryId: string }> = {
  jumper: { name: 'Jumper', libraryId: 'adapter' },
  pad: { name: 'Pad', libraryId: 'pad-30-10' },
  adapter: { name: 'Adapter', libraryId: 'adapter' },
  load: { name: 'Load', libraryId: 'load-50' },
  sampler: { name: 'Sampler', libraryId: 'sampler-40' },
  coupler: { name: 'Coupler', libraryId: 'coupler-20' },
  combiner: { name: 'Combiner', libraryId: 'combiner-2' },
  filter: { name: 'Filter', libraryId: 'low-pass-150' },
  'dc-block': { name: 'DC block', libraryId: 'dc-block' },
}

/** A new part of a kind with typical figures, marked as assumed. */
export function newPart(id: string, kind: PartKind): Part {
  const { name, libraryId } = PLAIN[kind]
  const part = {
    ...libraryPart(libraryId, id),
    kind,
    name,
    note: '',
    toHz: null,
    zeroRatingAtC: null,
    peakW: null,
  }
  if (kind === 'jumper')
    return {
      ...part,
      loss: { kind: 'figure', lossDb: 0.1 },
      lossUncertainty: { ...part.lossUncertainty, halfWidthDb: 0.1 },
    }
  if (kind === 'pad') return { ...part, lossUncertainty: { ...part.lossUncertainty, halfWidthDb: 0.5 } }
  return part
}

/** A new chain without parts. */
export function newChain(id: string, name: string, instrumentId: string): Chain {
  return { id, name, instrumentId, parts: [], offsetOnInstrumentDb: 0, revision: 1, joins: null }
}

/** An inexpensive in-line power meter: ±10 % of full scale, assumed (handbook, section 5). */
export function newPowerMeter(id: string): PowerMeter {
  return {
    id,
    kind: 'power-meter',
    name: 'Power meter',
    note: '',
    fromHz: 1e6,
    toHz: 500e6,
    vswr: 1.1,
    assumed: true,
    resolution: 0.01,
    referencePpm: null,
    accuracyPercent: 10,
    accuracyOf: 'full-scale',
    fullScaleW: 20,
    maxInputW: 100,
    inLine: true,
    sensor: 'unknown',
  }
}

/** A pocket spectrum analyser: ±2 dB, assumed (handbook, section 5). */
export function newSpectrumAnalyser(id: string): SpectrumAnalyser {
  return {
    id,
    kind: 'spectrum-analyser',
    name: 'Spectrum analyser',
    note: '',
    fromHz: 100e3,
    toHz: 960e6,
    vswr: 1.5,
    assumed: true,
    resolution: 0.1,
    referencePpm: null,
    damageDbm: 10,
    overloadDbm: -10,
    floorDbm: -90,
    resolutionBandwidthHz: 100e3,
    amplitudeAccuracyDb: 2,
    flatnessDb: null,
    floorDoubtDb: 2,
    scaleDbPer10Db: null,
    detection: UNKNOWN_DETECTION,
  }
}

/**
 * An inexpensive I/Q receiver: 1 ppm, ±1 % of deviation, ±0.5 dB in ratios, assumed (common practice, no
 * source).
 */
export function newReceiver(id: string): Receiver {
  return {
    id,
    kind: 'receiver',
    name: 'I/Q receiver',
    note: '',
    fromHz: 1e6,
    toHz: 1.7e9,
    vswr: 1.5,
    assumed: true,
    resolution: 0.1,
    referencePpm: 1,
    damageDbm: 10,
    overloadDbm: -20,
    deviationPercent: 1,
    ratioDb: 0.5,
  }
}

const GENERATOR: Omit<SignalGenerator, 'id' | 'name'> = {
  kind: 'signal-generator',
  note: '',
  fromHz: 100e3,
  toHz: 960e6,
  vswr: 1.5,
  assumed: true,
  resolution: 0.5,
  referencePpm: 2,
  lowestDbm: -115,
  highestDbm: -18,
  setIn: 'dBm',
  voltageIs: 'pd',
  levelAccuracyDb: 2,
  reverseW: 0.01,
  phaseNoise: [],
  build: 'pocket',
  modulations: ['AM', 'FM'],
  tonesHz: [400, 1000],
  channels: 1,
}

/** A pocket generator: ±2 dB, survives 10 mW, assumed (common practice, no source). */
export function newPocketGenerator(id: string): SignalGenerator {
  return { id, name: 'Pocket generator', ...GENERATOR, tonesHz: [400, 1000] }
}

/** A laboratory generator: ±0.7 dB down to −140 dBm, survives 25 W, assumed (common practice, no source). */
export function newLaboratoryGenerator(id: string): SignalGenerator {
  return {
    id,
    name: 'Laboratory generator',
    ...GENERATOR,
    vswr: 1.3,
    resolution: 0.1,
    referencePpm: 0.5,
    lowestDbm: -140,
    highestDbm: 13,
    levelAccuracyDb: 0.7,
    reverseW: 25,
    build: 'laboratory',
    toHz: 2e9,
  }
}

const AT_AUDIO = {
  note: '',
  fromHz: 20,
  toHz: 20e3,
  vswr: 1,
  assumed: true,
  resolution: 0.1,
  referencePpm: null,
} as const

/** A sound card or audio meter: not calibrated in volts, SINAD to ±0.2 dB, assumed. */
export function newAudioMeter(id: string): AudioMeter {
  return {
    id,
    kind: 'audio-meter',
    name: 'Sound card',
    ...AT_AUDIO,
    fullScaleV: null,
    voltsPercent: 5,
    sinadDb: 0.2,
  }
}

/** An AC voltmeter: ±2 % (assumed). */
export function newAcVoltmeter(id: string): AcVoltmeter {
  return {
    id,
    kind: 'ac-voltmeter',
    name: 'AC voltmeter',
    ...AT_AUDIO,
    resolution: 0.001,
    accuracyPercent: 2,
    fullScaleV: 20,
  }
}

/** An antenna analyser: 30 dB of directivity (assumed). */
export function newAntennaAnalyser(id: string): AntennaAnalyser {
  return {
    id,
    kind: 'antenna-analyser',
    name: 'Antenna analyser',
    ...AT_AUDIO,
    fromHz: 1e6,
    toHz: 1e9,
    vswr: 1.1,
    resolution: 0.01,
    directivityDb: 30,
  }
}

/** What can be put on a bench: each with typical figures, until the owner gives his own. */
export const instrumentTemplates: readonly { id: string; title: string; make: (id: string) => Instrument }[] =
  [
    { id: 'power-meter', title: 'Power meter', make: newPowerMeter },
    { id: 'spectrum-analyser', title: 'Spectrum analyser', make: newSpectrumAnalyser },
    { id: 'receiver', title: 'Receiver or monitor', make: newReceiver },
    { id: 'pocket-generator', title: 'Signal generator, pocket (typical)', make: newPocketGenerator },
    {
      id: 'laboratory-generator',
      title: 'Signal generator, laboratory (typical)',
      make: newLaboratoryGenerator,
    },
    { id: 'audio-meter', title: 'Sound card or audio meter', make: newAudioMeter },
    { id: 'ac-voltmeter', title: 'AC voltmeter', make: newAcVoltmeter },
    { id: 'antenna-analyser', title: 'Antenna analyser', make: newAntennaAnalyser },
  ]
