/** Curves a recording of I/Q gives. */
const RECORDED_CURVES = ['spectrum', 'deviation', 'time-frequency'] as const

/** A curve a recording of I/Q gives. */
export type RecordedCurve = (typeof RECORDED_CURVES)[number]

/**
 * What a kept curve shows; `discharge`: volts, and amperes in `y2`, over seconds; `reflection`: Γ in two parts over Hz.
 */
export const CURVE_KINDS = [...RECORDED_CURVES, 'discharge', 'reflection'] as const

/** What a kept curve shows. */
export type CurveKind = (typeof CURVE_KINDS)[number]

/** A curve worked out from a recording and kept for its drawing; its points live in a record of their own. */
export interface CurveHead {
  id: string
  setId: string
  stepId: string
  kind: CurveKind
  fileName: string
  /** How it was come by. */
  words: string
  /** Rows of a picture over time; 0 for a curve. */
  rows: number
  at: string
}

/**
 * `y2` is the other edge of a band (lowest beside highest); empty where there is none. A picture has its
 * columns one behind the other in `y`.
 */
export interface CurvePoints {
  x: Float64Array
  y: Float64Array
  y2: Float64Array
}

/** A key-down as it happened. */
export interface KeyDown {
  id: string
  setId: string
  stepId: string
  chainId: string | null
  at: string
  seconds: number
  /** Power to be expected while it lasted, W. */
  powerW: number
}

/** A note to a step; the latest counts. */
export interface StepNote {
  id: string
  setId: string
  stepId: string
  text: string
  at: string
  who: string
}

/** A picture kept with a step; its bytes live in a record of their own. */
export interface PictureHead {
  id: string
  setId: string
  stepId: string
  name: string
  width: number
  height: number
  /** Size of the stored picture, bytes. */
  bytes: number
  at: string
}

/** What a clip lets hear: what the radio hears, or how it sounds on the air. */
export const CLIP_SOUNDS = ['heard', 'sent'] as const
/** What a clip lets hear. */
export type ClipSound = (typeof CLIP_SOUNDS)[number]

/** Clips a review may hold, and the most one may weigh, bytes: all of them fit into a file that comes in again. */
export const MOST_CLIPS = 40
export const MOST_CLIP_BYTES = 3_000_000

/** A clip of sound kept with a step; its bytes live in a record of their own. */
export interface ClipHead {
  id: string
  setId: string
  stepId: string
  /** The file it came from, or the device. */
  name: string
  /** What is said or played in it, so that it is compared with the same. */
  words: string
  sounds: ClipSound
  sampleRateHz: number
  seconds: number
  /** Size of the stored clip, bytes. */
  bytes: number
  /** Gated loudness, LUFS; null where nothing is loud enough to count. */
  loudnessLufs: number | null
  at: string
  who: string
}

/** A step left out on purpose. */
export interface SkippedStep {
  setId: string
  stepId: string
  reason: string
  at: string
}

/** A trace kept with the review; its points live in a record of their own. */
export interface TraceHead {
  id: string
  setId: string
  stepId: string
  fileName: string
  sha256: string
  pointCount: number
  fromHz: number
  toHz: number
  resolutionBandwidthHz: number | null
  keepsHighest: boolean
  floorDbm: number
  chainId: string
  at: string
}

/** Points of a trace: Hz and dBm, of equal length, frequencies rising. */
export interface TracePoints {
  frequenciesHz: Float64Array
  levelsDbm: Float64Array
}

/** The control radio read through a chain on the day, against what it is known to make. */
export interface ControlCheck {
  id: string
  chainId: string
  setId: string
  at: string
  frequencyHz: number
  /** As typed, and as understood at the instrument, dBm. */
  text: string
  levelDbm: number
  resolutionDb: number
  calibrationIds: Record<string, string>
  /** What it is known to make at its socket, and how well (95 %). */
  knownDbm: number
  knownExpandedDb: number
  knownFrom: string
}

/** What another tester found for the same figure of the same set. */
export interface OtherFigure {
  id: string
  setId: string
  stationId: string
  stepId: string
  slot: string
  who: string
  text: string
  levelDbm: number
  /** Expanded uncertainty they state (95 %), dB. */
  expandedDb: number
  at: string
}
