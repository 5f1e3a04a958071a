import { calibratedChain, type Chain, type Instrument } from '../chain'
import { type Band, type CurrentReadings, currentReadings, stepKey, type RadioSet, type Reading, type Review } from '../review'
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
  /** A plan of a set, worked out once as long as the set and what the key names stay the same, over several states of the review. */
  plan: <T>(set: RadioSet, key: string, compute: () => T) => T
  /** Works a thing out once for a step. */
  perStep: <T>(step: object, compute: () => T) => T
  /** Works a thing out once for a reading. */
  perReading: <T>(reading: Reading, compute: () => T) => T
  /** Works a thing out once for a chain and a frequency. */
  perChain: <T>(chain: Chain, frequencyHz: number, compute: () => T) => T
  /** Works a thing out once for this state of the review; the key must name everything it depends on besides. */
  once: <T>(key: string, compute: () => T) => T
}

/** What may be kept from one state of a review to the next, as long as whoever holds it likes. */
export interface SharedWork {
  distributions: Distributions
  /** The readings that stand, by the list they were found in. */
  standing: WeakMap<readonly Reading[], CurrentReadings>
  /** Plans, by the set they are for and the key they hang on. */
  plans: WeakMap<RadioSet, Map<string, unknown>>
}

/** Fresh shared work. */
export function createSharedWork(): SharedWork {
  return { distributions: createDistributions(), standing: new WeakMap(), plans: new WeakMap() }
}

/**
 * Prepares a review for planning and judging. O(readings).
 * @throws CoreError `unknown-id` when the review names a rulebook neither it nor this version has.
 */
export function stationContext(review: Review, shared: SharedWork = createSharedWork()): StationContext {
  const { distributions, standing, plans } = shared
  const known = new Map<string, unknown>()
  const once = <T>(key: string, compute: () => T): T => {
    if (!known.has(key)) known.set(key, compute())
    return known.get(key) as T
  }
  const byChain = new Map<Chain, Map<number, unknown>>()
  const perChain = <T>(chain: Chain, frequencyHz: number, compute: () => T): T => {
    let things = byChain.get(chain)
    if (!things) byChain.set(chain, things = new Map())
    let thing = things.get(frequencyHz) as T | undefined
    if (thing === undefined) things.set(frequencyHz, thing = compute())
    return thing
  }
  const { calibrations, calibrationSwaps: swaps } = review
  const raw = new Map(review.chains.map(chain => [chain.id, chain]))
  let current = standing.get(review.readings)
  if (!current) standing.set(review.readings, current = currentReadings(review))
  let last: { setId: string; stepId: string; slots: ReadonlyMap<string, Reading> | undefined } = { setId: '', stepId: '', slots: undefined }
  const ofThings = new Map<object, unknown>()
  const perThing = <T>(of: object, compute: () => T): T => {
    let thing = ofThings.get(of) as T | undefined
    if (thing === undefined) ofThings.set(of, thing = compute())
    return thing
  }
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
    reading: (setId, stepId, slot) => {
      if (stepId !== last.stepId || setId !== last.setId) last = { setId, stepId, slots: current.get(stepKey(setId, stepId)) }
      return last.slots?.get(slot)
    },
    perReading: perThing,
    perStep: perThing,
    plan: <T>(set: RadioSet, key: string, compute: () => T): T => {
      let ofSet = plans.get(set)
      if (!ofSet) plans.set(set, ofSet = new Map())
      if (!ofSet.has(key)) ofSet.set(key, compute())
      return ofSet.get(key) as T
    },
    distributions,
    perChain,
    once,
  }
}

function pinKey(pins: Reading['calibrationIds']): string {
  let key = ''
  for (const part in pins) key += `${part}=${pins[part]!};`
  return key
}
