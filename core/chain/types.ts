/** Kinds of part a chain is made of. */
export type PartKind = 'jumper' | 'pad' | 'adapter' | 'load'

/** Loss of a part: one figure, or a table over frequency (interpolated in log f, never extrapolated). */
export type PartLoss =
  | { kind: 'figure'; lossDb: number }
  | { kind: 'table'; points: LossPoint[] }

export interface LossPoint {
  frequencyHz: number
  lossDb: number
}

/** How well a loss is known: ±a from a data sheet (rectangular), or U with k = 2 from a certificate (normal). */
export interface LossUncertainty {
  halfWidthDb: number
  distribution: 'rectangular' | 'normal'
  /** Nobody stated it; a typical size was taken. */
  assumed: boolean
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
  /** Usable range; null where not stated. */
  fromHz: number | null
  toHz: number | null
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
}

/** A power meter, terminating or in line. */
export interface PowerMeter extends InstrumentBase {
  kind: 'power-meter'
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
}

export type Instrument = PowerMeter | SpectrumAnalyser

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
}
