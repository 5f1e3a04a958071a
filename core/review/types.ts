import type { Chain, Instrument } from '../chain'
import type { DecisionRule } from '../decision'
import type { LevelUnit } from '../quantity'

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
  /** Chain by station; a station without an entry takes the first that suits. */
  chainByStation: Record<string, string>
}

/** Where a reading came from. */
export type ReadingSource =
  | { kind: 'typed' }
  | { kind: 'file'; fileName: string; sha256: string; traceId: string }
  | { kind: 'demo' }

/** A doubt that travels with a reading taken from a trace. */
export type ReadingDoubt =
  /** Points further apart than the resolution bandwidth: a peak may have been stepped over. */
  | { kind: 'coarse-trace'; stepHz: number; resolutionBandwidthHz: number | null }
  /** Points close enough, but the peak may stand between two of them and read a little low. */
  | { kind: 'stepped-trace'; stepHz: number; resolutionBandwidthHz: number }

/** What was seen, as it was seen. Never changed; a retake supersedes it. */
export interface Reading {
  id: string
  setId: string
  stationId: string
  stepId: string
  /** Which figure of the step: `carrier`, or `x2` to `x10`. */
  slot: string
  text: string
  value: number
  unit: LevelUnit
  levelDbm: number
  resolutionDb: number
  isUpperBound: boolean
  /** Frequency it was read at, Hz. */
  frequencyHz: number
  /** Noise floor of the trace it came from, dBm at the instrument; null when typed. */
  traceFloorDbm: number | null
  doubt: ReadingDoubt | null
  instrumentId: string
  chainId: string
  chainRevision: number
  supply: string
  at: string
  source: ReadingSource
  /** Id of the reading this one replaces. */
  supersedes: string | null
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

export interface ReviewSettings {
  rulebookId: string
  /** The reviewer's own yardstick, shown beside “no figure in law”. */
  yardstickId: string | null
  decisionRule: DecisionRule
  /** Tolerance on claimed power, dB; 0 is none. */
  claimToleranceDb: number
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
  /** Ticked lines of the set-the-radio lists, by step id. */
  ticks: Record<string, string[]>
}

/** Version of the stored form; raised with a migration beside it. */
export const REVIEW_SCHEMA_VERSION = 1
