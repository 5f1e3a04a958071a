import { seededRandom } from './seededRandom'

/** What is known of a simulated pack. */
export interface SimulatedPack {
  capacityAh: number
  /** Volts of a full pack of so many cells in a row. */
  nominalV: number
  loadA: number
  seed: number
}

const LINES = 240
/** A cell’s volts, full and at the cut-off, as shares of its nominal ones. */
const FULL = 4.2 / 3.7
const CUT_OFF = 3 / 3.7

/** A log of a simulated pack at a constant load until its cut-off: seconds, volts, amperes. */
export function simulatedDischarge({ capacityAh, nominalV, loadA, seed }: SimulatedPack) {
  const random = seededRandom(seed)
  const seconds = (3600 * capacityAh) / loadA
  return Array.from({ length: LINES + 1 }, (_unused, i) => {
    const used = i / LINES
    const slope = FULL - 0.16 * used - (FULL - 0.16 - CUT_OFF) * used ** 9
    return {
      atS: used * seconds,
      voltageV: nominalV * slope + 0.004 * (random() - 0.5),
      currentA: loadA * (1 + 0.002 * (random() - 0.5)),
    }
  })
}
