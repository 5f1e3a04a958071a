import { calibratedChain, type Chain, type Instrument } from '../chain'
import {
  type Band,
  type CurrentFigures,
  currentFigures,
  type CurrentReadings,
  currentReadings,
  type FigureReading,
  stepKey,
  type RadioSet,
  type Reading,
  type Review,
} from '../review'
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
  /**
   * A chain as a reading was taken through it: with the calibrations of then, moved on where the reviewer
   * asked.
   */
  chainOf: (reading: Pick<Reading, 'chainId' | 'calibrationIds'>) => Chain | undefined
  instrument: (id: string) => Instrument | undefined
  reading: (setId: string, stepId: string, slot: string) => Reading | undefined
  /** A figure that stands. */
  figure: (setId: string, stepId: string, slot: string) => FigureReading | undefined
  /** All levels that stand in a step, by slot. */
  readingsOf: (step: { set: RadioSet; id: string }) => ReadonlyMap<string, Reading>
  /** Why a step was left out; null where it was not. */
  skipReason: (step: { set: RadioSet; id: string }) => string | null
  distributions: Distributions
  /**
   * A plan of a set, worked out once as long as the set and what the key names stay the same, over several
   * states of the review.
   */
  plan: <T>(set: RadioSet, key: string, compute: () => T) => T
  /**
   * Works a thing out for an object once, as long as everything it depends on is the very same, over several
   * states of the review.
   */
  reuse: <T>(of: object, dependsOn: readonly unknown[], compute: () => T) => T
  /** Works a thing out once for a chain with its instrument, and a frequency. */
  perChain: <T>(chain: Chain, instrument: Instrument, frequencyHz: number, compute: () => T) => T
  /**
   * Works a thing out once for this state of the review; the key must name everything it depends on besides.
   */
  once: <T>(key: string, compute: () => T) => T
}

/** What may be kept from one state of a review to the next, as long as whoever holds it likes. */
export interface SharedWork {
  distributions: Distributions
  /** The readings that stand, by the list they were found in. */
  standing: WeakMap<readonly Reading[], CurrentReadings>
  figures: WeakMap<readonly FigureReading[], CurrentFigures>
  /** Plans, by the set they are for and the key they hang on. */
  plans: WeakMap<RadioSet, Map<string, unknown>>
  /** Chains with their calibrations, by the chain as stored and the calibrations wanted. */
  chains: WeakMap<Chain, Map<string, { calibrations: unknown; swaps: unknown; chain: Chain }>>
  /** What was worked out for a chain, by frequency. */
  paths: WeakMap<Chain, { instrument: Instrument; byFrequency: Map<number, unknown> }>
  /** What was worked out for an object, and what it depended on. */
  results: WeakMap<object, { dependsOn: readonly unknown[]; result: unknown }>
}

/** Fresh shared work. */
export function createSharedWork(): SharedWork {
  return {
    distributions: createDistributions(),
    standing: new WeakMap(),
    figures: new WeakMap(),
    plans: new WeakMap(),
    chains: new WeakMap(),
    paths: new WeakMap(),
    results: new WeakMap(),
  }
}

/**
 * Prepares a review for planning and judging. O(readings).
 * @throws CoreError `unknown-id` when the review names a rulebook neither it nor this version has.
 */
export function stationContext(review: Review, shared: SharedWork = createSharedWork()): StationContext {
  const { distributions, standing, figures, plans, chains, paths, results } = shared
  const known = new Map<string, unknown>()
  const once = <T>(key: string, compute: () => T): T => {
    if (!known.has(key)) known.set(key, compute())
    return known.get(key) as T
  }
  const perChain = <T>(chain: Chain, instrument: Instrument, frequencyHz: number, compute: () => T): T => {
    let path = paths.get(chain)
    if (!path || path.instrument !== instrument)
      paths.set(chain, (path = { instrument, byFrequency: new Map() }))
    let thing = path.byFrequency.get(frequencyHz) as T | undefined
    if (thing === undefined) path.byFrequency.set(frequencyHz, (thing = compute()))
    return thing
  }
  const reuse = <T>(of: object, dependsOn: readonly unknown[], compute: () => T): T => {
    const known = results.get(of)
    if (
      known &&
      known.dependsOn.length === dependsOn.length &&
      known.dependsOn.every((one, i) => one === dependsOn[i])
    )
      return known.result as T
    const result = compute()
    results.set(of, { dependsOn, result })
    return result
  }
  const { calibrations, calibrationSwaps: swaps } = review
  const raw = new Map(review.chains.map(chain => [chain.id, chain]))
  let current = standing.get(review.readings)
  if (!current) standing.set(review.readings, (current = currentReadings(review)))
  let stated = figures.get(review.figures)
  if (!stated) figures.set(review.figures, (stated = currentFigures(review)))
  const skipped = new Map(review.skipped.map(({ setId, stepId, reason }) => [stepKey(setId, stepId), reason]))
  const none: ReadonlyMap<string, Reading> = new Map()
  let last: { setId: string; stepId: string; slots: ReadonlyMap<string, Reading> | undefined } = {
    setId: '',
    stepId: '',
    slots: undefined,
  }
  const instruments = new Map(review.instruments.map(instrument => [instrument.id, instrument]))
  const books = (ids: readonly string[]) =>
    once(`books:${ids.join(',')}`, () => ids.map(id => rulebookById(id, review.ownRulebooks)))
  const calibrated = (id: string, pins: Reading['calibrationIds'] | null, key: string) => {
    const stored = raw.get(id)
    if (!stored || calibrations.length === 0) return stored
    let ofChain = chains.get(stored)
    if (!ofChain) chains.set(stored, (ofChain = new Map()))
    const known = ofChain.get(key)
    if (known && known.calibrations === calibrations && known.swaps === swaps) return known.chain
    const chain = calibratedChain(stored, { calibrations, swaps, pins })
    ofChain.set(key, { calibrations, swaps, chain })
    return chain
  }
  return {
    review,
    rulebooks: books(review.settings.rulebookIds),
    rulebooksOf: band => books(band.rulebookIds ?? review.settings.rulebookIds),
    yardstick:
      review.settings.yardstickId === null
        ? null
        : rulebookById(review.settings.yardstickId, review.ownRulebooks),
    chain: id => (id === null ? undefined : calibrated(id, null, 'now')),
    chainOf: ({ chainId, calibrationIds }) => calibrated(chainId, calibrationIds, pinKey(calibrationIds)),
    instrument: id => instruments.get(id),
    reading: (setId, stepId, slot) => {
      if (stepId !== last.stepId || setId !== last.setId)
        last = { setId, stepId, slots: current.get(stepKey(setId, stepId)) }
      return last.slots?.get(slot)
    },
    figure: (setId, stepId, slot) => stated.get(stepKey(setId, stepId))?.get(slot),
    readingsOf: step => current.get(stepKey(step.set.id, step.id)) ?? none,
    skipReason: step => skipped.get(stepKey(step.set.id, step.id)) ?? null,
    plan: <T>(set: RadioSet, key: string, compute: () => T): T => {
      let ofSet = plans.get(set)
      if (!ofSet) plans.set(set, (ofSet = new Map()))
      if (!ofSet.has(key)) ofSet.set(key, compute())
      return ofSet.get(key) as T
    },
    distributions,
    perChain,
    reuse,
    once,
  }
}

function pinKey(pins: Reading['calibrationIds']): string {
  let key = ''
  for (const part in pins) key += `${part}=${pins[part]!};`
  return key
}
