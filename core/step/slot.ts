import type { ParseFigureOptions } from '../quantity'
import type { RoleId } from '../review'

/**
 * What a slot is to its station, by the station’s own kinds: `{ is: 'harmonic', n: 2, moment: 'settled' }`.
 * Ids are only for storing; whoever wants to know what a slot is asks this.
 */
export type SlotKind = { readonly is: string } & Readonly<Record<string, string | number | null>>

/** What is typed or ticked in a slot: a level at an instrument, a figure in a unit, or something done. */
export type FieldSpec =
  { as: 'level' } | ({ as: 'figure'; placeholder?: string } & ParseFigureOptions) | { as: 'mark' }

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
  /** Nothing is missing while it is empty. */
  optional?: boolean
}
