/** Why a station is there, how it goes wrong, and how it is done: in our own words. */
export interface StationHelp {
  what: string
  /** How it goes wrong. */
  wrong: readonly string[]
  /** How it is done, in order. */
  how: readonly string[]
}
