import type { Detection } from '../uncertainty'

/** Kinds of part a chain is made of. */
export type PartKind =
  'jumper' | 'pad' | 'adapter' | 'load' | 'sampler' | 'coupler' | 'combiner' | 'filter' | 'dc-block'

/**
 * Loss of a part: one figure, a table over frequency (interpolated in log f, never extrapolated), or the law
 * of a cable.
 */
export type PartLoss = { kind: 'figure'; lossDb: number } | { kind: 'table'; points: LossPoint[] } | CoaxLoss

/** Loss of a cable: length times (root·√f + linear·f), f in units of 100 MHz; conductor and dielectric. */
export interface CoaxLoss {
  kind: 'coax'
  lengthM: number
  /** dB per 100 m at 100 MHz that goes with √f. */
  rootDbPer100M: number
  /** dB per 100 m at 100 MHz that goes with f. */
  linearDbPer100M: number
}

/** Loss of a part at one frequency: Hz, and dB as a positive figure. */
export interface LossPoint {
  frequencyHz: number
  lossDb: number
}

/**
 * How well a loss is known: ±a from a data sheet (rectangular), or U with k = 2 from a certificate (normal).
 */
export interface LossUncertainty {
  halfWidthDb: number
  distribution: 'rectangular' | 'normal'
  /** Nobody stated it; a typical size was taken. */
  assumed: boolean
  /** Share of the loss that comes on top of `halfWidthDb`: the spread of a cable type, 0 to 1. */
  shareOfLoss: number
  /**
   * How much of it changes with frequency, ± dB; the rest is the same at every frequency and cancels in dBc.
   * null: nobody knows, all of it changes.
   */
  flatnessDb: number | null
}

/** One part between radio and instrument. */
export interface Part {
  id: string
  kind: PartKind
  name: string
  /** Connectors, cable type, anything worth printing. */
  note: string
  loss: PartLoss
  lossUncertainty: LossUncertainty
  vswr: number
  /** Average power it may turn into heat, W at 25 °C; null when nobody says. */
  ratingW: number | null
  /**
   * Temperature at which nothing of the rating is left, °C; the rating falls in a line from 25 °C. null: not
   * derated.
   */
  zeroRatingAtC: number | null
  /** Most it may ever see, W, however briefly; null when nobody says: then the rating is the most. */
  peakW: number | null
  /** Usable range; null where not stated. */
  fromHz: number | null
  toHz: number | null
  /** Figures of such parts in general, from the part library, until the owner gives their own. */
  typical: boolean
  /** Calibration that stands for the loss of this part now; null: the stated loss. */
  calibrationId: string | null
}

/** One frequency of a measured path: what the generator gave through a short, and through the part. */
export interface CalibrationPoint {
  frequencyHz: number
  throughDbm: number
  withPartDbm: number
}

/** A path measured on the bench: its loss is the difference of two readings per frequency. */
export interface Calibration {
  id: string
  partId: string
  partName: string
  at: string
  /** Generator, instrument, how it was done. */
  withWhat: string
  points: CalibrationPoint[]
  /** Expanded uncertainty of the loss, k = 2, dB. */
  expandedDb: number
}

interface InstrumentBase {
  id: string
  name: string
  note: string
  fromHz: number
  toHz: number
  vswr: number
  /** Accuracy not stated by anybody; a typical size was taken. */
  assumed: boolean
  /** Smallest step of the display in dB or, for a power meter, in W; what was typed may be coarser. */
  resolution: number
  /**
   * How well its frequency reference is known, ± parts per million; null where nobody says: then no frequency
   * is judged by it.
   */
  referencePpm: number | null
}

/**
 * What a power meter feels: heat, whatever the wave looks like, or the peak of the voltage, which harmonics move.
 */
export const METER_SENSORS = ['unknown', 'thermal', 'diode'] as const
/** What a power meter feels; unknown is an answer. */
export type MeterSensor = (typeof METER_SENSORS)[number]

/** A power meter, terminating or in line. */
export interface PowerMeter extends InstrumentBase {
  kind: 'power-meter'
  sensor: MeterSensor
  accuracyPercent: number
  accuracyOf: 'reading' | 'full-scale'
  fullScaleW: number
  /** Most it may ever see, W. */
  maxInputW: number
  /** Passes the power on: it needs a load behind it. */
  inLine: boolean
}

/** A spectrum analyser. */
export interface SpectrumAnalyser extends InstrumentBase {
  kind: 'spectrum-analyser'
  /** Above this it breaks, dBm. */
  damageDbm: number
  /** Above this it makes harmonics of its own, dBm. */
  overloadDbm: number
  /** Noise floor at `resolutionBandwidthHz`, dBm. */
  floorDbm: number
  resolutionBandwidthHz: number
  amplitudeAccuracyDb: number
  /** How well the floor is known, ± dB. */
  floorDoubtDb: number
  /**
   * How much of the amplitude accuracy changes with frequency, ± dB; the rest cancels in dBc. null: nobody
   * knows, all of it changes.
   */
  flatnessDb: number | null
  /**
   * How far its scale may be off over 10 dB of level, ± dB: what does not cancel in dBc. null: nobody says, a typical
   * one is assumed.
   */
  scaleDbPer10Db: number | null
  /** How it makes one level of many looks at it. */
  detection: Detection
}

/**
 * What reads modulation and frequency: a service monitor, a deviation meter with counter, or a receiver that
 * records I/Q.
 */
export interface Receiver extends InstrumentBase {
  kind: 'receiver'
  /** Above this it breaks, dBm. */
  damageDbm: number
  /** Above this it distorts, dBm. */
  overloadDbm: number
  /** Accuracy of a deviation it shows, ± percent. */
  deviationPercent: number
  /** Accuracy of a ratio of powers it shows or records, ± dB. */
  ratioDb: number
}

/** Noise of a generator beside its carrier: dBc in 1 Hz at an offset. */
export interface PhaseNoisePoint {
  offsetHz: number
  dbcPerHz: number
}

/** A signal generator: its path is walked from it to the radio. */
export interface SignalGenerator extends InstrumentBase {
  kind: 'signal-generator'
  /** Lowest and highest level it can be set to, dBm into 50 Ω. */
  lowestDbm: number
  highestDbm: number
  /** Unit its level is set in; a bare number is one of these. */
  setIn: 'dBm' | 'µV' | 'dBµV'
  /** What a voltage on it means: across the load, or behind its own 50 Ω. */
  voltageIs: 'pd' | 'emf'
  levelAccuracyDb: number
  /** Power it survives at its own socket, W; null where nobody says. */
  reverseW: number | null
  /** By offset; empty where nobody says: then a typical figure is assumed. */
  phaseNoise: PhaseNoisePoint[]
  /** What such a generator makes where `phaseNoise` is empty. */
  build: 'pocket' | 'laboratory'
  modulations: ('AM' | 'FM')[]
  /** Tones it can modulate with by itself, Hz. */
  tonesHz: number[]
  /** Two independent outputs: it can be the wanted and the interfering one at once. */
  channels: 1 | 2
}

/** What reads audio: a sound card, or an audio meter that shows SINAD. */
export interface AudioMeter extends InstrumentBase {
  kind: 'audio-meter'
  /** Volts rms of a sine at full scale, found with a known voltage; null where it is not calibrated. */
  fullScaleV: number | null
  /** How well volts are known, ± percent. */
  voltsPercent: number
  /** How well it shows a SINAD, ± dB; its own working out adds what noise leaves open. */
  sinadDb: number
}

/** An AC voltmeter. */
export interface AcVoltmeter extends InstrumentBase {
  kind: 'ac-voltmeter'
  accuracyPercent: number
  fullScaleV: number
}

/** What shows the match of an antenna. */
export interface AntennaAnalyser extends InstrumentBase {
  kind: 'antenna-analyser'
  /** How far down its bridge can see a reflection, dB. */
  directivityDb: number
}

/** Any instrument a chain may end in. */
export type Instrument =
  PowerMeter | SpectrumAnalyser | Receiver | SignalGenerator | AudioMeter | AcVoltmeter | AntennaAnalyser

/** Instruments at radio frequency a carrier of the radio is led into to be read. */
export type ReadingInstrument = PowerMeter | SpectrumAnalyser | Receiver

/** Where a path joins another. */
export interface ChainJoint {
  chainId: string
  partId: string
}

/** Parts in order from the radio to the instrument. */
export interface Chain {
  id: string
  name: string
  instrumentId: string
  parts: Part[]
  /** Offset the operator has typed on the instrument, dB; its display is that much higher. */
  offsetOnInstrumentDb: number
  /** Raised by every change of parts, instrument or offset; kept with each reading. */
  revision: number
  /**
   * The path this one joins at one of its parts, a combiner: from there to the radio it is the same. `parts`
   * then begin behind the combiner. null: it goes to the radio by itself.
   */
  joins: ChainJoint | null
}
