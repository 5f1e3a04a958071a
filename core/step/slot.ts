import type { ParseFigureOptions } from '../quantity'
import type { RoleId } from '../review'

/**
 * What a slot is to its station, by the station’s own kinds: `{ is: 'harmonic', n: 2, moment: 'settled' }`.
 * Ids are only for storing; whoever wants to know what a slot is asks this.
 */
export type SlotKind = { readonly is: string } & Readonly<Record<string, string | number | null>>

/** How far a generator may be turned up in a step. */
export interface LevelGuard {
  /** The highest level the step may ever set, dBm at the generator. */
  highestDbm: number
  /** The lowest the generator can be set to, dBm. */
  lowestDbm: number
  /** Above this a level needs a second look: “+93 typed for −93?” */
  secondLookDbm: number
  /** Unit of a bare number, and what a voltage stands for. */
  bareUnit: 'dBm' | 'µV' | 'dBµV'
  voltageIs: 'pd' | 'emf'
}

/**
 * What is typed or ticked in a slot: a level at an instrument, or on a generator where it has a guard; a figure
 * in a unit; something done; or nothing, where it is worked out from the step’s other slots.
 */
export type FieldSpec =
  | { as: 'level'; guard?: LevelGuard }
  | ({ as: 'figure'; placeholder?: string } & ParseFigureOptions)
  | { as: 'mark' }
  | { as: 'derived' }

/** What a generator is set to while a slot is read. */
export interface AppliedField {
  role: RoleId
  label: string
  guard: LevelGuard
  /** Frequency it is set to, Hz. */
  frequencyHz: number
  /** What is proposed, dBm at the generator; null where nothing is. */
  proposedDbm: number | null
}

/** One figure a step asks for. */
export interface Slot {
  /** Stored in files: never renamed. */
  id: string
  kind: SlotKind
  label: string
  frequencyHz: number
  field: FieldSpec
  /** Which of the station’s roles it is read with; null where nothing stands between. */
  role: RoleId | null
  /** Set beside it: a generator’s level, typed before the figure. */
  applied?: readonly AppliedField[]
  /** Nothing is missing while it is empty. */
  optional?: boolean
}
