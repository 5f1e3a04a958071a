/** Below this many dB above the floor a reading is only an upper bound. */
const BOUND_BELOW_DB = 3

/**
 * From this many dB above the floor on, what the noise does is too small to speak of; it is taken off all the
 * same.
 */
export const CORRECT_BELOW_DB = 10

/** What the noise floor does to a reading. */
export interface FloorEffect {
  aboveFloorDb: number
  /** To subtract from the reading, dB; 0 when the reading is only a bound. */
  correctionDb: number
  /** Half-width of what the correction leaves open, dB, to first order. */
  remainderDb: number
  isUpperBound: boolean
}

/**
 * A reading S dB above the noise floor holds the noise as well, and is too high by
 * 10·log10(1/(1 − 10^(−S/10))): 0.46 dB at S = 10, 3.02 dB at S = 3. That is taken off, and the floor's own
 * doubt carried through 1/(10^(S/10) − 1); under 3 dB the reading is an upper bound.
 * @param floorDoubtDb - how well the floor itself is known, ± dB.
 * @see addition of powers; handbook, section 4.
 */
export function floorEffect(levels: {
  readingDbm: number
  floorDbm: number
  floorDoubtDb: number
}): FloorEffect {
  const aboveFloorDb = levels.readingDbm - levels.floorDbm
  if (aboveFloorDb < BOUND_BELOW_DB)
    return { aboveFloorDb, correctionDb: 0, remainderDb: 0, isUpperBound: true }
  return {
    aboveFloorDb,
    correctionDb: floorBiasDb(aboveFloorDb),
    remainderDb: levels.floorDoubtDb / (10 ** (aboveFloorDb / 10) - 1),
    isUpperBound: false,
  }
}

/** How much too high a reading S dB above the floor is, dB. S must be above 0. */
export function floorBiasDb(aboveFloorDb: number): number {
  return -10 * Math.log10(1 - 10 ** (-aboveFloorDb / 10))
}
