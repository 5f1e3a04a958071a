import type { Chain, Instrument } from '../chain'
import { currentReadings, slotKey, type Reading, type Review } from '../review'
import { type Rulebook, rulebookById } from '../rules'

/** Everything a station needs to plan and judge, looked up once per state of the review. */
export interface StationContext {
  review: Review
  rulebook: Rulebook
  yardstick: Rulebook | null
  chain: (id: string | null) => Chain | undefined
  instrument: (id: string) => Instrument | undefined
  reading: (setId: string, stepId: string, slot: string) => Reading | undefined
  /** Works a thing out once for this state of the review; the key must name everything it depends on besides. */
  once: <T>(key: string, compute: () => T) => T
}

/**
 * Prepares a review for planning and judging. O(readings).
 * @throws CoreError `unknown-id` when the review names a rulebook this version does not have.
 */
export function stationContext(review: Review): StationContext {
  const current = currentReadings(review)
  const chains = new Map(review.chains.map(chain => [chain.id, chain]))
  const known = new Map<string, unknown>()
  const instruments = new Map(review.instruments.map(instrument => [instrument.id, instrument]))
  return {
    review,
    rulebook: rulebookById(review.settings.rulebookId),
    yardstick: review.settings.yardstickId === null ? null : rulebookById(review.settings.yardstickId),
    chain: id => (id === null ? undefined : chains.get(id)),
    instrument: id => instruments.get(id),
    reading: (setId, stepId, slot) => current.get(slotKey(setId, stepId, slot)),
    once: <T>(key: string, compute: () => T): T => {
      if (!known.has(key)) known.set(key, compute())
      return known.get(key) as T
    },
  }
}
