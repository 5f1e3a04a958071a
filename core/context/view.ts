import { entryOf } from '../cache'
import type { Chain, Instrument } from '../chain'
import { type Reading, type Review, type SkippedStep, standingReadings, type StepReadings } from '../review'
import { type Rulebook, rulebookById } from '../rules'
import { calibratedChains } from './calibratedChains'
import type { ChainHead } from './chainHeads'
import type { Context } from './context'
import { LOOKED_FURTHER } from './lookedFurther'
import type { SharedWork } from './sharedWork'

/** The part of a review a context shows: all of it, or the values of a scope. */
interface Shown {
  review: Review
  /** Whole chains by id; one that has a head and is not among them lies further off. */
  chains: ReadonlyMap<string, Chain>
  chainHeads: readonly ChainHead[]
  ofRadio: (radioId: string) => { readings: readonly Reading[]; skipped: readonly SkippedStep[] }
  stationData: (stationId: string, radioId: string | null) => unknown
}

/** The look-ups of a context. */
export function viewOf(
  { review, chains, chainHeads, ofRadio, stationData }: Shown,
  { cache, distributions, plans }: SharedWork,
): Omit<Context, 'ofRadio' | 'once'> {
  const { settings, ownRulebooks, instruments, calibrations, calibrationSwaps } = review
  const books = (ids: readonly string[]) => cache.of(bookList, ids, ownRulebooks)
  const yardstick = cache.of(yardstickOf, settings, ownRulebooks)
  const standing = (radioId: string) => cache.of(standingReadings, ofRadio(radioId).readings)
  const calibrated = (id: string) => {
    const chain = chains.get(id)
    if (!chain && chainHeads.some(head => head.id === id)) throw LOOKED_FURTHER
    return chain && cache.of(calibratedChains, chain, calibrations, calibrationSwaps)
  }
  return {
    review,
    get rulebooks() {
      return books(settings.rulebookIds)
    },
    rulebooksOf: ({ rulebookIds }) => books(rulebookIds ?? settings.rulebookIds),
    yardstick,
    chainHeads,
    chain: id => (id === null ? undefined : calibrated(id)?.now),
    chainOf: ({ chainId, calibrationIds }) => calibrated(chainId)?.then(calibrationIds),
    instrument: id => (id === null ? undefined : cache.of(instrumentsById, instruments).get(id)),
    reading: (radioId, stepId, slot) => standing(radioId).get(stepId)?.get(slot),
    readingsOf: ({ set, id }) => standing(set.id).get(id) ?? NO_READINGS,
    skipReason: ({ set, id }) => cache.of(reasonsByStep, ofRadio(set.id).skipped).get(id) ?? null,
    memo: stationId => stationData(stationId, null),
    memoOf: stationData,
    distributions,
    forGood: cache.of,
    plansBefore: (radio, plan) =>
      entryOf(
        entryOf(plans, plan, () => new WeakMap()),
        radio,
        () => new Map(),
      ),
  }
}

const NO_READINGS: StepReadings = new Map()

function bookList(ids: readonly string[], own: readonly Rulebook[]): readonly Rulebook[] {
  return ids.map(id => rulebookById(id, own))
}

function yardstickOf({ yardstickId }: Review['settings'], own: readonly Rulebook[]): Rulebook | null {
  return yardstickId === null ? null : rulebookById(yardstickId, own)
}

function instrumentsById(instruments: readonly Instrument[]): ReadonlyMap<string, Instrument> {
  return new Map(instruments.map(instrument => [instrument.id, instrument]))
}

function reasonsByStep(skipped: readonly SkippedStep[]): ReadonlyMap<string, string> {
  return new Map(skipped.map(({ stepId, reason }) => [stepId, reason]))
}
