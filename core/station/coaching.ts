import type { RoleId } from '../review'

/** What a station would have done next, and why. */
export interface Coaching {
  /** What to set, where it is read, in dBm at the generator; null where nothing is to be set. */
  next: { slotId: string; role: RoleId; levelDbm: number } | null
  /** The same where it arrives, dBm at the radio’s socket. */
  socketDbm: number | null
  /** In one line: `Set −120.9 dBm`. */
  title: string
  /** Why, and what it will bring. */
  words: string[]
  isDone: boolean
}
