import type { Chain, Instrument } from '../chain'
import { createReader } from '../derive'
import type { Band, RadioSet, Reading, Review, StepReadings, Through } from '../review'
import type { Rulebook } from '../rules'
import type { Distributions } from '../uncertainty'
import { createSharedWork, type SharedWork } from './sharedWork'
import { createState, type State } from './state'

/** A step, as far as looking its readings up goes. */
export interface StepPlaceId {
  set: Pick<RadioSet, 'id'>
  id: string
}

/**
 * Everything a station needs to plan and judge. Whatever is asked here while a result is worked out is
 * recorded: that is what the result hangs on, and as long as it is the same the result is used again.
 */
export interface Context {
  /** The review; which of its fields are read is recorded. */
  review: Readonly<Review>
  /** Rulebooks of the review, for bands that name none of their own. */
  rulebooks: readonly Rulebook[]
  /** Rulebooks a band is judged by. */
  rulebooksOf: (band: Pick<Band, 'rulebookIds'>) => readonly Rulebook[]
  yardstick: Rulebook | null
  /** A chain as it stands now, with the calibrations of now. */
  chain: (id: string | null) => Chain | undefined
  /** A chain as a reading was taken through it: with the calibrations of then, moved on where asked. */
  chainOf: (through: Through) => Chain | undefined
  instrument: (id: string | null) => Instrument | undefined
  reading: (setId: string, stepId: string, slot: string) => Reading | undefined
  /** All readings that stand in a step, by slot; the very same map as long as they are. */
  readingsOf: (step: StepPlaceId) => StepReadings
  /** Why a step was left out; null where it was not. */
  skipReason: (step: StepPlaceId) => string | null
  /** What a station keeps for the whole review, unchecked; null where nothing. */
  memo: (stationId: string) => unknown
  /** What a station keeps for one set, unchecked; null where nothing. */
  memoOf: (stationId: string, setId: string) => unknown
  distributions: Distributions
  /** Asks the state of the review anything, by a function that is always the same; the answer is recorded. */
  ask: <Arg, Answer>(question: (state: State, arg: Arg) => Answer, arg: Arg) => Answer
  /** Works a thing out once for its owner, as long as all that was asked for it is the same. */
  derive: <T>(owner: object, name: string, compute: () => T) => T
  /** Works a thing out once for good: it hangs on nothing but its name. */
  forGood: <T>(name: string, compute: () => T) => T
}

/**
 * Prepares a review for planning and judging. O(readings) once, O(what is new) where the shared work knows
 * an earlier state.
 * @throws CoreError `unknown-id` when the review names a rulebook neither it nor this version has.
 */
export function createContext(review: Review, shared: SharedWork = createSharedWork()): Context {
  const state = createState(review, shared)
  const { ask, derive } = createReader(state, shared.memory)
  const recorded = recordedFields(review, ask)
  const keyOf = keysOfSteps(state)
  return {
    review: recorded,
    get rulebooks() {
      return ask(booksOf, null)
    },
    rulebooksOf: band => ask(booksOf, band.rulebookIds),
    get yardstick() {
      return ask(yardstickOf, null)
    },
    chain: id => (id === null ? undefined : ask(chainNow, id)),
    chainOf: through => ask(chainThen, through),
    instrument: id => (id === null ? undefined : ask(instrumentOf, id)),
    reading: (setId, stepId, slot) => ask(readingsAt, state.stepKey(setId, stepId)).get(slot),
    readingsOf: step => ask(readingsAt, keyOf(step)),
    skipReason: step => ask(skippedAt, keyOf(step)),
    memo: stationId => ask(memoFor, stationId)?.common ?? null,
    memoOf: (stationId, setId) => ask(memoFor, stationId)?.bySet[setId] ?? null,
    distributions: shared.distributions,
    ask,
    derive,
    forGood: (name, compute) => derive(shared.memory, name, compute),
  }
}

/** Keys of steps. One step is asked after many times in a row: its key is put together once. */
function keysOfSteps({ stepKey }: State): (step: StepPlaceId) => string {
  let last: StepPlaceId | null = null
  let key = ''
  return step => {
    if (step !== last) {
      last = step
      key = stepKey(step.set.id, step.id)
    }
    return key
  }
}

/** The review, so that which of its fields are read is recorded; no field of it is ever missing. */
function recordedFields(review: Review, ask: Context['ask']): Review {
  const fields = Object.keys(review) as (keyof Review)[]
  const recorded = {}
  for (const field of fields)
    Object.defineProperty(recorded, field, { get: () => ask(fieldOf, field), enumerable: true })
  return recorded as Review
}

const fieldOf = (state: State, field: keyof Review) => state.review[field]
const booksOf = (state: State, ids: readonly string[] | null) => state.books(ids)
const yardstickOf = (state: State) => state.yardstick
const chainNow = (state: State, id: string) => state.chainNow(id)
const chainThen = (state: State, through: Through) => state.chainThen(through)
const instrumentOf = (state: State, id: string) => state.instruments.get(id)
const readingsAt = (state: State, key: string) => state.readings(key)
const skippedAt = (state: State, key: string) => state.skipped.get(key) ?? null
const memoFor = (state: State, stationId: string) => state.review.memos[stationId]
