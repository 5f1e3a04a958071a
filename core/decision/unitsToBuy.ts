import { clopperPearson } from './clopperPearson'

/** Most units anybody would be asked to buy. */
const MOST_UNITS = 1000

/**
 * How many more units would have to be bought, all of them good, before so large a share of all units may be called
 * good with 95 % assurance; null where more than a thousand would not do.
 * @param good - units that are inside, of `units`.
 * @param share - of all units, 0 to 1.
 */
export function unitsToBuy(good: number, units: number, share: number): number | null {
  for (let more = 0; more <= MOST_UNITS; more++) {
    if (units + more === 0) continue
    if (clopperPearson(good + more, units + more, 0.9).low >= share) return more
  }
  return null
}
