import type { RoleId } from '../review'

/** A level that is proposed for a generator while a slot is read, dBm at the generator. */
export interface ProposedLevel {
  slotId: string
  role: RoleId
  levelDbm: number
}

/** What a station would have done next, and why. */
export interface Coaching {
  /** What to set next; null where nothing is to be set. */
  next: ProposedLevel | null
  /** What stands ready in the fields of this and other slots. */
  proposed: readonly ProposedLevel[]
  /** The same where it arrives, dBm at the radio’s socket. */
  socketDbm: number | null
  /** In one line: `Set −120.9 dBm`. */
  title: string
  /** Why, and what it will bring. */
  words: string[]
  isDone: boolean
}
