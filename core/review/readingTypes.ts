import type { Detection } from '../uncertainty'
import type { LevelUnit, FigureUnit } from '../quantity'

/** Where a reading came from. */
export type ReadingSource =
  | { kind: 'typed' }
  | { kind: 'file'; fileName: string; sha256: string; traceId: string }
  /** Worked out from a recording of I/Q or audio, which itself is too large to keep. */
  | { kind: 'recording'; fileName: string; sha256: string; curveIds: string[] }
  /** Read from an instrument; a simulated one says so in its name. `answer`: what it said, word for word. */
  | { kind: 'link'; instrument: string; answer?: string }
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
  /** Bandwidth its trace was read in, Hz; absent: that of its instrument. */
  resolutionBandwidthHz?: number
  /** How its trace shows a level; absent: as its instrument does. */
  detection?: Detection
  /** What the signal is, as the reviewer says; absent: nobody said. */
  nature?: SignalNature
  /** Several levels at its frequency in one trace, of which it is the highest; absent: there was one. */
  sweeps?: { levels: number; spreadDb: number }
}

/** What a signal is to a filter: narrower than any, or spread like noise. */
export const SIGNAL_NATURES = ['narrow', 'noise-like'] as const
/** What a signal is to a filter. */
export type SignalNature = (typeof SIGNAL_NATURES)[number]

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
  /** What generators were set to while it was seen, by role; empty where none was in play. */
  applied: Record<RoleId, SeenLevel>
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
