import type { Calibration, CalibrationSwap, Chain, Duty, Instrument, PadTest } from '../chain'
import type { DecisionRule } from '../decision'
import type { FigureUnit, LevelUnit } from '../quantity'
import type { Mode, Rulebook } from '../rules'

/** What the maker says of one band at one power level. */
export type PowerClaim =
  | { kind: 'watts'; powerW: number }
  /** The level exists, and the maker gives no figure. */
  | { kind: 'not-said' }
  /** The set has no such level on this band. */
  | { kind: 'no-level' }

export interface Channel {
  id: string
  name: string
  frequencyHz: number
  /** Harmonics are measured on this channel too. */
  harmonics: boolean
}

export interface PowerLevel {
  id: string
  name: string
}

export interface Band {
  id: string
  name: string
  channels: Channel[]
  /** By level id. */
  claims: Record<string, PowerClaim>
  mode: Mode
  /** Channel spacing, Hz; null where the card does not say. */
  channelSpacingHz: number | null
  /** Further spacings the set can be switched to here, Hz: deviation and neighbours are measured at each. */
  alsoSpacingsHz: number[]
  /** Gain of the antenna less feed loss over a half-wave dipole, dB; null where nobody knows. */
  antennaGainDbd: number | null
  /** Rulebooks this band is judged by; null: those of the review. */
  rulebookIds: string[] | null
}

/** What the label on the battery says; null where it does not. */
export interface BatteryLabel {
  voltageV: number | null
  capacityAh: number | null
  energyWh: number | null
}

export type SetKind = 'handheld' | 'mobile'
export type SetRole = 'under-test' | 'control'

/** One radio: its card and its claims. */
export interface RadioSet {
  id: string
  kind: SetKind
  role: SetRole
  make: string
  model: string
  sample: string
  serial: string
  firmware: string
  price: string
  /** Bought, lent, gift: disclosed in the report. */
  howObtained: string
  inTheBox: string
  battery: BatteryLabel
  levels: PowerLevel[]
  bands: Band[]
  /** Battery or supply as it stands now; copied to every reading. */
  supplyNow: string
  /** Longest the set may be keyed in one go, s. */
  keyDownLimitS: number
  /** Chain by station and role; a role without an entry takes the first that suits. */
  chains: Record<string, Record<RoleId, string>>
}

/** Where a reading came from. */
export type ReadingSource =
  | { kind: 'typed' }
  | { kind: 'file'; fileName: string; sha256: string; traceId: string }
  /** Worked out from a recording of I/Q or audio, which itself is too large to keep. */
  | { kind: 'recording'; fileName: string; sha256: string; curveIds: string[] }
  /** Read from an instrument; a simulated one says so in its name. */
  | { kind: 'link'; instrument: string }
  | { kind: 'demo' }

/** A doubt that travels with a reading taken from a trace. */
export type ReadingDoubt =
  /** Points further apart than the resolution bandwidth: a peak may have been stepped over. */
  | { kind: 'coarse-trace'; stepHz: number; resolutionBandwidthHz: number | null }
  /** Points close enough, but the peak may stand between two of them and read a little low. */
  | { kind: 'stepped-trace'; stepHz: number; resolutionBandwidthHz: number }

/** A level as an instrument showed it, before anything is corrected. */
export interface SeenLevel {
  as: 'level'
  value: number
  unit: LevelUnit
  /** The same in dBm, as displayed. */
  levelDbm: number
  /** Weight of its last digit, dB. */
  resolutionDb: number
  isUpperBound: boolean
  /** Frequency it was read at, Hz. */
  frequencyHz: number
  /** Noise floor of the trace it came from, dBm at the instrument; null when typed. */
  traceFloorDbm: number | null
  doubt: ReadingDoubt | null
  /** Where it was read several times: every level, dBm; `levelDbm` is their mean. Empty for one reading. */
  repeatsDbm: number[]
}

/** A figure as it was seen that is no level behind a chain: a deviation, a frequency, a voltage, a ratio. */
export interface SeenFigure {
  as: 'figure'
  value: number
  unit: FigureUnit
  /** Weight of its last digit, in its unit. */
  resolution: number
  isUpperBound: boolean
  /** What its own working out leaves open, in its unit; 0 where it was typed. */
  standardUncertainty: number
  /** How far noise may have pushed it up, in its unit. */
  noiseAdds: number
  /** Bandwidth, window, averaging, filters: how it was come by; empty where it was typed. */
  method: string
}

/** Which chain a reading went through in one of its station's roles, as it stood then. */
export interface Through {
  chainId: string
  chainRevision: number
  /**
   * Calibrations the chain rested on when it was read: part id → calibration id. It is judged by these until
   * the reviewer asks otherwise.
   */
  calibrationIds: Record<string, string>
}

/** What stands at the other end of a chain, by the station's own names: `instrument`, `generator` … */
export type RoleId = string

/**
 * One thing that was seen, with where it belongs and under what it was taken. Never changed; a retake
 * supersedes it. All else is computed from it.
 */
export interface Reading {
  id: string
  setId: string
  stationId: string
  stepId: string
  /** Which figure of the step, by the station’s own ids: `carrier`, `x2`, `tone` … */
  slot: string
  /** As typed. */
  text: string
  seen: SeenLevel | SeenFigure
  /** What it was read with; null where nobody can tell or it does not matter. */
  instrumentId: string | null
  through: Record<RoleId, Through>
  /** Battery or supply. */
  supply: string
  /** At the bench, °C; null where nobody noted it. */
  ambientC: number | null
  /** Who took it. */
  who: string
  at: string
  source: ReadingSource
  /** Id of what this one replaces. */
  supersedes: string | null
}

/** A reading of a level. */
export type LevelReading = Reading & { seen: SeenLevel }

/** A reading of a figure that is no level. */
export type FigureReading = Reading & { seen: SeenFigure }

/** What a kept curve shows. */
export const CURVE_KINDS = ['spectrum', 'deviation', 'time-frequency'] as const

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

export interface ReviewSettings {
  /** Rulebooks every band is judged by unless it names its own; one or more. */
  rulebookIds: string[]
  /** The reviewer's own yardstick, shown beside “no figure in law”. */
  yardstickId: string | null
  decisionRule: DecisionRule
  /** Tolerance on claimed power, dB; 0 is none. */
  claimToleranceDb: number
  /** A calibration older than this is out of date, days. */
  calibrationMaxAgeDays: number
  /** Temperature at the bench, °C. */
  ambientC: number
  /** How the radios are going to be keyed. */
  duty: Duty
  /** Beep when the key-down clock asks for rest. */
  soundCue: boolean
  /** Stations this review wants beyond those every review has, by id. */
  alsoStations: string[]
}

/** A review: everything that was stored. All else is computed from it. */
export interface Review {
  id: string
  title: string
  purpose: string
  reviewer: string
  createdAt: string
  updatedAt: string
  settings: ReviewSettings
  sets: RadioSet[]
  instruments: Instrument[]
  chains: Chain[]
  readings: Reading[]
  traces: TraceHead[]
  curves: CurveHead[]
  keyDowns: KeyDown[]
  notes: StepNote[]
  pictures: PictureHead[]
  skipped: SkippedStep[]
  /** The reviewer’s own order of the run, by `set|step`; empty: as proposed. */
  runOrder: string[]
  calibrations: Calibration[]
  calibrationSwaps: CalibrationSwap[]
  padTests: PadTest[]
  controlChecks: ControlCheck[]
  otherFigures: OtherFigure[]
  /** The reviewer’s own rulebooks; they travel with the review. */
  ownRulebooks: Rulebook[]
  /** Ticked lines of the set-the-radio lists, by step id. */
  ticks: Record<string, string[]>
  /** What stations keep besides readings, by station id: consent, geometry. */
  memos: Record<string, StationMemo>
}

/** What a station keeps besides readings: for the whole review, and for single sets. Its own schema says what. */
export interface StationMemo {
  common: unknown
  bySet: Record<string, unknown>
}

/** Version of the stored form; raised with a migration beside it. */
export const REVIEW_SCHEMA_VERSION = 4
