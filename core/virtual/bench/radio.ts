import { dbmFromWatts } from '../../quantity'
import { gaussian } from '../simulatedPath'
import { seededRandom } from '../seededRandom'

/** How a radio is keyed. */
export interface Keyed {
  carrierHz: number
  /** What its maker says of the level it is switched to, W. */
  claimedW: number
}

/** A radio of known truth: what it really sends, whatever its maker says. */
export interface VirtualRadio {
  /** Power it really makes, dBm into 50 Ω. */
  carrierDbm: (keyed: Keyed) => number
  /** Level at n times the carrier, dBm; 1 is the carrier. */
  harmonicDbm: (keyed: Keyed, n: number) => number
}

/** One radio in so many has a filter left out. */
const DIRTY_ONE_IN = 4

/** A radio from a seed: the same seed is the same radio. */
export function virtualRadio(seed: number): VirtualRadio {
  const random = seededRandom(seed)
  const shortDb = 1.6 * random() - 0.3
  const isDirty = random() < 1 / DIRTY_ONE_IN
  const firstDbc = (isDirty ? -38 : -58) + 5 * gaussian(random)
  const dbc = Array.from({ length: 12 }, (_unused, i) => firstDbc - 4 * i + 3 * gaussian(random))
  const carrierDbm = ({ claimedW }: Keyed) => dbmFromWatts(claimedW) - shortDb
  return {
    carrierDbm,
    harmonicDbm: (keyed, n) => carrierDbm(keyed) + (n === 1 ? 0 : dbc[Math.min(n - 2, dbc.length - 1)]!),
  }
}
