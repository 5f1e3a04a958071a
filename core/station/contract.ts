import type Joi from 'joi'
import type { BenchCheck } from '../chain'
import type { Verdict, VerdictScale } from '../decision'
import type {
  Band,
  Channel,
  FigureReading,
  FigureUnit,
  PowerClaim,
  PowerLevel,
  RadioSet,
  Reading,
} from '../review'
import type { LimitAnswer, Quantity, ScalarAnswer } from '../rules'
import type { Budget } from '../uncertainty'
import type { CorrectedReading } from './correctReading'
import type { StationContext } from './stationContext'

/** One figure a step asks for. */
export interface Slot {
  /** `carrier`, or `x1` to `x10`. Stored in files: never renamed. */
  id: string
  label: string
  frequencyHz: number
  /** A level at an instrument, or a figure in a unit of its own. */
  measures: 'level' | FigureUnit
  /** Nothing is missing while it is empty. */
  optional?: boolean
}

/** One line of the set-the-radio list. */
export interface RadioSetting {
  id: string
  words: string
}

/** One step of the run: one frequency, one level, one chain. */
export interface Step {
  /** Stable across planning: station, band, channel and level. */
  id: string
  stationId: string
  set: RadioSet
  band: Band
  channel: Channel
  level: PowerLevel
  claim: PowerClaim
  /** Channel spacing the set is switched to for it, Hz, where it has several and the step hangs on it. */
  spacingHz?: number
  /** Chain new readings go through; null when the bench has none that suits. */
  chainId: string | null
  slots: Slot[]
  instruction: string
  radioSettings: RadioSetting[]
  cautions: string[]
  keyDownS: number
  durationS: number
  /** The radio must be cold, or warmed up, for it. */
  thermal: 'cold' | 'warm' | 'any'
  /** It wants a full battery, or the supply at its nominal voltage. */
  needsFullSupply: boolean
}

/** Something that looks wrong and is asked about, never refused. */
export interface Question {
  slotId: string
  words: string
}

/** What a figure that is no level came to. */
export interface FigureResult {
  reading: FigureReading
  value: number
  unit: FigureUnit
  isUpperBound: boolean
  /** What is left open, in units of `scale.perDb`. */
  budget: Budget
  scale: VerdictScale | null
}

/** Something worth doing before the verdict is believed. */
export interface Offer {
  id: 'pad-test'
  slotId: string
  words: string
}

/** A limit on a power, or on any other figure. */
export type AnyLimit = LimitAnswer | ScalarAnswer

/** One rulebook's limit and the verdict against it. */
export interface JudgedBy {
  limit: AnyLimit
  verdict: Verdict
  words: string
}

/** What one slot came to. */
export interface SlotResult {
  slot: Slot
  reading: Reading | null
  corrected: CorrectedReading | null
  /** Beside `reading`: where the slot asks for a figure that is no level. */
  figure: FigureResult | null
  limit: AnyLimit | null
  /** Judged against law or claim. */
  verdict: Verdict
  /** The verdict in words, as the station says it. */
  words: string
  /**
   * What each rulebook says, where something was judged against rulebooks; `limit` and `verdict` are those of
   * the one that governs.
   */
  each: JudgedBy[]
  /** Beside “no figure in law”, when the reviewer's yardstick is on. */
  yardstick: JudgedBy | null
  /** Budget of the margin where the limit follows the carrier (dBc); null where it is the reading's own. */
  ratio: Budget | null
  notes: string[]
  /** Why there is no reading: still open, or out of reach of the chain; null when there is one. */
  missing: 'open' | 'out-of-reach' | null
}

/** What a step came to. */
export interface StepResult {
  step: Step
  slots: SlotResult[]
  verdict: Verdict
  words: string
  /** Slot that governs the step's verdict; null when nothing does. */
  governs: SlotResult | null
  questions: Question[]
  /** What could be done to be surer. */
  offers: Offer[]
  /** Readings standing, of readings within reach. */
  progress: { read: number; possible: number }
}

/** How a station is summed up for one set and one row of the findings. */
export interface StationAnswer {
  verdict: Verdict
  words: string
  /** Second line: which member governs, what was left out. */
  detail: string
  governs: { step: Step; slotId: string } | null
  /** What each rulebook says, where there are several. */
  each: { title: string; verdict: Verdict; words: string }[]
  results: StepResult[]
}

/** One row a station contributes to the findings. */
export interface StationQuestion {
  id: string
  stationId: string
  question: string
  detail: string
  against: 'limits' | 'claims'
  bandName: string | null
  /** The yardstick's row, shown only when the yardstick is on. */
  yardstick: boolean
}

/** A test. Adding one to the product is adding a folder with one of these and a line in the registry. */
export interface Station {
  id: string
  /** Raised when results change meaning. */
  version: number
  title: string
  /** Place in the order of work (handbook, section 2). */
  order: number
  /** Joi schema of what it keeps. */
  readingSchema: Joi.Schema
  /**
   * Left out of the run, the findings and what is open until something of it was read: not every review wants
   * it.
   */
  optional: boolean
  /**
   * What it is judged by: the maker’s claim, and clauses of rulebooks on these quantities. Empty: an
   * observation.
   */
  judgedBy: readonly ('claim' | Quantity)[]
  plan: (set: RadioSet, context: StationContext) => Step[]
  checks: (step: Step, context: StationContext) => BenchCheck[]
  evaluate: (step: Step, context: StationContext) => StepResult
  questions: (sets: readonly RadioSet[], context: StationContext) => StationQuestion[]
  answer: (question: StationQuestion, set: RadioSet, context: StationContext) => StationAnswer
}
