import type { Calibration, CalibrationSwap, Chain, Duty, Instrument, PadTest } from '../chain'
import type { DecisionRule } from '../decision'
import type { Rulebook } from '../rules'
import type { RadioSet } from './cardTypes'
import type { Publication, SheetWords } from './publicationTypes'
import type { Reading } from './readingTypes'
import type {
  TraceHead,
  CurveHead,
  KeyDown,
  StepNote,
  PictureHead,
  ClipHead,
  SkippedStep,
  ControlCheck,
  OtherFigure,
} from './stepRecordTypes'

/** How a review judges, and under which conditions. */
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
  clips: ClipHead[]
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
  /** The reviewer’s own words on the sheets of models, by `Model.key`. */
  sheetWords: Record<string, SheetWords>
  /** States of it that were published, the oldest first. */
  publications: Publication[]
}

/** What a station keeps besides readings: for the whole review, and for single sets. Its own schema says what. */
export interface StationMemo {
  common: unknown
  bySet: Record<string, unknown>
}
