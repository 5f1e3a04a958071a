/** State of the key-down clock at a moment. */
export interface KeyDownState {
  keyedS: number
  /** Seconds left before the set must rest; negative when it should have rested. */
  leftS: number
  mustRest: boolean
}

/** Rest asked for after keying: as long as it was keyed (common practice, no source). */
export const REST_PER_KEYED = 1

/** Where the clock stands after `keyedS` seconds against the longest key-down of the set. */
export function keyDownState(keyedS: number, limitS: number): KeyDownState {
  return { keyedS, leftS: limitS - keyedS, mustRest: keyedS >= limitS }
}
