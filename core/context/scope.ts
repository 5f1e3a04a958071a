import type { Chain } from '../chain'
import type { RadioSet, Reading, Review } from '../review'
import type { ChainHead } from './chainHeads'
import type { State } from './state'

/**
 * Holds the values the results of one radio depend on, each immutable. A function run in a scope sees these and
 * nothing else of the review, so two scopes of equal values give equal results.
 */
export interface Scope {
  radio: RadioSet
  /** Fields of the review a station may read; lists hold the items of this radio only. */
  review: VisibleReview
  readings: readonly Reading[]
  chainHeads: readonly ChainHead[]
  /** The signal paths it sees, by id, each with the path it joins: those the radio uses, or all of the bench. */
  chains: ReadonlyMap<string, Chain>
  /** Data of the stations by station id, common to the review and of this radio. */
  stationData: ReadonlyMap<string, { common: unknown; own: unknown }>
  /** All of the above in one list: what is compared. */
  restsOn: readonly unknown[]
}

/** Fields of a review that a scope shows; any other one belongs to the whole review. */
export type VisibleReview = Pick<
  Review,
  | 'settings'
  | 'instruments'
  | 'ownRulebooks'
  | 'calibrations'
  | 'calibrationSwaps'
  | 'padTests'
  | 'readings'
  | 'keyDowns'
  | 'skipped'
  | 'clips'
>

/** So many scopes of a radio are kept: what is stored and what is being typed, of some chains and of all. */
const MOST_SCOPES = 6

/**
 * Returns the scope of a radio: the very one of before, where all it rests on is the same.
 * @param wholeBench - it sees every signal path, not only those the radio is known to use.
 */
export function scopeOf(radio: RadioSet, wholeBench: boolean, state: State): Scope {
  const made = newScope(radio, wholeBench, state)
  const { scopes } = state.shared
  const known = scopes.get(radio.id) ?? []
  const same = known.find(one => isSame(one.restsOn, made.restsOn))
  const scope = same ?? made
  if (known[0] !== scope)
    scopes.set(radio.id, [scope, ...known.filter(one => one !== scope)].slice(0, MOST_SCOPES))
  return scope
}

function newScope(radio: RadioSet, wholeBench: boolean, state: State): Scope {
  const { review, lists, chainHeads } = state
  const own = <Item>(items: ReadonlyMap<string, readonly Item[]>) => (items.get(radio.id) ?? NONE) as Item[]
  const readings = own(lists.readings.byRadio)
  const chains = wholeBench ? state.chains : usedChains(radio, readings, state)
  const visible: VisibleReview = {
    settings: review.settings,
    instruments: review.instruments,
    ownRulebooks: review.ownRulebooks,
    calibrations: review.calibrations,
    calibrationSwaps: review.calibrationSwaps,
    padTests: review.padTests,
    readings,
    keyDowns: own(lists.keyDowns.byRadio),
    skipped: own(lists.skipped.byRadio),
    clips: own(lists.clips.byRadio),
  }
  const stationData = new Map(
    Object.entries(review.memos).map(([id, { common, bySet }]) => [
      id,
      { common, own: bySet[radio.id] ?? null },
    ]),
  )
  const data = [...stationData].flatMap(([id, { common, own: ofRadio }]) => [id, common, ofRadio])
  return {
    radio,
    review: visible,
    readings,
    chainHeads,
    chains,
    stationData,
    restsOn: [radio, chainHeads, wholeBench, ...Object.values(visible), ...chains.values(), ...data],
  }
}

/** One for all: an empty list of its own would be another each time. */
const NONE: readonly unknown[] = Object.freeze([])

/** The paths a radio’s card names and its readings were taken through, with what they join. */
function usedChains(radio: RadioSet, readings: readonly Reading[], state: State): Map<string, Chain> {
  const ids = [...state.shared.cache.of(readThrough, readings), ...state.shared.cache.of(namedOn, radio)]
  const used = new Map<string, Chain>()
  for (const id of ids) {
    const chain = state.chains.get(id)
    if (chain) used.set(id, chain)
  }
  return used
}

function readThrough(readings: readonly Reading[]): ReadonlySet<string> {
  return new Set(readings.flatMap(({ through }) => Object.values(through).map(({ chainId }) => chainId)))
}

function namedOn(radio: RadioSet): readonly string[] {
  return Object.values(radio.chains).flatMap(roles => Object.values(roles))
}

function isSame(a: readonly unknown[], b: readonly unknown[]): boolean {
  return a.length === b.length && a.every((one, i) => one === b[i])
}
