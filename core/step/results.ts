import type { Verdict } from '../decision'
import type { FigureUnit } from '../quantity'
import type { Reading } from '../review'
import type { LimitAnswer, ScalarAnswer } from '../rules'
import type { Budget } from '../uncertainty'
import type { Slot } from './slot'
import type { Role, Step } from './step'

/** What a reading came to, in its unit, with what is left open of it in the same unit. */
export interface Found {
  value: number
  /** dBm: a level at the radio’s socket where `path` is there, else as shown. */
  unit: FigureUnit
  budget: Budget
  isUpperBound: boolean
  /**
   * Where it came through a chain: the level at the instrument’s connector, the loss put right, and which way
   * the signal went.
   */
  path: { atInstrumentDbm: number; lossDb: number; signal: Role['signal'] } | null
  /** How the figure was arrived at, in words. */
  notes: string[]
}

/** A limit on a power, or on any other figure. */
export type AnyLimit = LimitAnswer | ScalarAnswer

/** One rulebook’s limit and the verdict against it. */
export interface Judgement {
  limit: AnyLimit
  verdict: Verdict
  words: string
  /** Budget of the margin where it is not the figure’s own: the limit follows the carrier (dBc). */
  ratio: Budget | null
}

/** What the maker claims, and the verdict against it. */
export interface ClaimJudgement {
  /** The claim as the box prints it: `5 W`, `0.2 µV`. */
  claimedWords: string
  /** From here on it counts as met, in the figure’s own unit: a power claimed less the review’s tolerance. */
  limit: number
  verdict: Verdict
  words: string
}

/** Whether something was read in a slot, and if not, why not. */
export type SlotState = 'read' | 'open' | 'out-of-reach' | 'left-out'

/**
 * What one slot came to. A result may make its words and notes when they are read: it is read where it is, not
 * copied field by field.
 */
export interface SlotResult {
  slot: Slot
  state: SlotState
  /** Latest of what it rests on; null where nothing was read, or it rests on what is kept besides readings. */
  reading: Reading | null
  /** null where nothing was read, or it could not be corrected. */
  found: Found | null
  /** Against the maker’s claim, where it is judged by one. */
  claim: ClaimJudgement | null
  /** What each rulebook says, the review’s order. */
  each: Judgement[]
  /** Beside “no figure in law”, when the reviewer's yardstick is on. */
  yardstick: Judgement | null
  /** The limit that is explained beside it: of the rulebook that governs. */
  limit: AnyLimit | null
  verdict: Verdict
  /** The verdict in words, as the station says it. */
  words: string
  /** Budget of the margin where the limit follows the carrier (dBc); null where it is the figure’s own. */
  ratio: Budget | null
  notes: string[]
}

/** Something that looks wrong and is asked about, never refused. */
export interface Question {
  slotId: string
  words: string
}

/** Something worth doing before the verdict is believed. */
export interface Offer {
  id: 'pad-test' | 'bandwidth'
  slotId: string
  words: string
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

/** True where something was read in the slot. */
export function isRead({ state }: Pick<SlotResult, 'state'>): boolean {
  return state === 'read'
}

/** The level at the socket a slot came to, dBm; null where it is no level, or none was found. */
export function socketDbm({ found }: Pick<SlotResult, 'found'>): number | null {
  return found?.path ? found.value : null
}

/** A slot of a step’s results by its id. */
export function slotOf(result: Pick<StepResult, 'slots'>, slotId: string): SlotResult | undefined {
  return result.slots.find(({ slot }) => slot.id === slotId)
}
