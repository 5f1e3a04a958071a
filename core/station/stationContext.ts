import { calibratedChain, type Chain, type Instrument } from '../chain'
import { type Band, currentReadings, slotKey, type Reading, type Review } from '../review'
import { type Rulebook, rulebookById } from '../rules'
import { createDistributions, type Distributions } from '../uncertainty'

/** Everything a station needs to plan and judge, looked up once per state of the review. */
export interface StationContext {
  review: Review
  /** Rulebooks of the review, for bands that name none of their own. */
  rulebooks: readonly Rulebook[]
  /** Rulebooks a band is judged by. */
  rulebooksOf: (band: Pick<Band, 'rulebookIds'>) => readonly Rulebook[]
  yardstick: Rulebook | null
  /** A chain as it stands now, with the calibrations of now. */
  chain: (id: string | null) => Chain | undefined
  /** A chain as a reading was taken through it: with the calibrations of then, moved on where the reviewer asked. */
  chainOf: (reading: Pick<Reading, 'chainId' | 'calibrationIds'>) => Chain | undefined
  instrument: (id: string) => Instrument | undefined
  reading: (setId: string, stepId: string, slot: string) => Reading | undefined
  distributions: Distributions
  /** Works a thing out once for this state of the review; the key must name everything it depends on besides. */
  once: <T>(key: string, compute: () => T) => T
}

/** What may be kept from one state of a review to the next. */
export interface SharedWork {
  distributions?: Distributions
}

/**
 * Prepares a review for planning and judging. O(readings).
 * @throws CoreError `unknown-id` when the review names a rulebook neither it nor this version has.
 */
export function stationContext(review: Review, shared: SharedWork = {}): StationContext {
  const { distributions = createDistributions() } = shared
  const known = new Map<string, unknown>()
  const once = <T>(key: string, compute: () => T): T => {
    if (!known.has(key)) known.set(key, compute())
    return known.get(key) as T
  }
  const { calibrations, calibrationSwaps: swaps } = review
  const raw = new Map(review.chains.map(chain => [chain.id, chain]))
  const current = currentReadings(review)
  const instruments = new Map(review.instruments.map(instrument => [instrument.id, instrument]))
  const books = (ids: readonly string[]) => once(`books:${ids.join(',')}`, () => ids.map(id => rulebookById(id, review.ownRulebooks)))
  const calibrated = (id: string, pins: Reading['calibrationIds'] | null, key: string) => {
    const chain = raw.get(id)
    return chain && once(`chain:${id}:${key}`, () => calibratedChain(chain, { calibrations, swaps, pins }))
  }
  return {
    review,
    rulebooks: books(review.settings.rulebookIds),
    rulebooksOf: band => books(band.rulebookIds ?? review.settings.rulebookIds),
    yardstick: review.settings.yardstickId === null ? null : rulebookById(review.settings.yardstickId, review.ownRulebooks),
    chain: id => (id === null ? undefined : calibrated(id, null, 'now')),
    chainOf: ({ chainId, calibrationIds }) => calibrated(chainId, calibrationIds, pinKey(calibrationIds)),
    instrument: id => instruments.get(id),
    reading: (setId, stepId, slot) => current.get(slotKey(setId, stepId, slot)),
    distributions,
    once,
  }
}

function pinKey(pins: Reading['calibrationIds']): string {
  let key = ''
  for (const part in pins) key += `${part}=${pins[part]!};`
  return key
}
