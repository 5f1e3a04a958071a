import { entryOf } from '../cache'
import type { Chain, Instrument } from '../chain'
import type { Band, RadioSet, Reading, Review, StepReadings, Through } from '../review'
import type { Rulebook } from '../rules'
import type { Distributions } from '../uncertainty'
import type { ChainHead } from './chainHeads'
import { scopeOf } from './scope'
import { scopeContext, tryIn } from './scopeContext'
import { createSharedWork, type SharedWork } from './sharedWork'
import { createState } from './state'
import { viewOf } from './view'

/** A step, as far as looking its readings up goes. */
export interface StepPlaceId {
  set: Pick<RadioSet, 'id'>
  id: string
}

/** Works something out from a subject and what a context shows. Declared once, at module level. */
export type ComputeIn<Subject extends object, Value> = (subject: Subject, context: Context) => Value

/**
 * Everything a station needs to plan and judge: one state of a review, or a scope of it that shows what the
 * results of one radio rest on. Both are immutable, so what was worked out in one is kept by its identity.
 */
export interface Context {
  /** The review. In a scope its lists hold the items of one radio, and other fields lead to the whole review. */
  review: Readonly<Review>
  /** Rulebooks of the review, for bands that name none of their own. */
  rulebooks: readonly Rulebook[]
  /** Rulebooks a band is judged by. */
  rulebooksOf: (band: Pick<Band, 'rulebookIds'>) => readonly Rulebook[]
  yardstick: Rulebook | null
  /** Every chain of the bench, without its parts. */
  chainHeads: readonly ChainHead[]
  /** A chain as it stands now, with the calibrations of now. */
  chain: (id: string | null) => Chain | undefined
  /** A chain as a reading was taken through it: with the calibrations of then, moved on where asked. */
  chainOf: (through: Through) => Chain | undefined
  instrument: (id: string | null) => Instrument | undefined
  reading: (setId: string, stepId: string, slot: string) => Reading | undefined
  /** All readings that stand in a step, by slot. */
  readingsOf: (step: StepPlaceId) => StepReadings
  /** Why a step was left out; null where it was not. */
  skipReason: (step: StepPlaceId) => string | null
  /** Data of a station for the whole review, not validated; null where there is none. */
  memo: (stationId: string) => unknown
  /** Data of a station for one radio, not validated; null where there is none. */
  memoOf: (stationId: string, setId: string) => unknown
  distributions: Distributions
  /**
   * Works a thing about one radio out in the narrowest scope that shows all it looks at: the radio and the paths
   * it uses, the radio and the whole bench, the whole review. Kept for as long as that scope is the same.
   */
  ofRadio: <Subject extends object, Value>(
    radioId: string,
    compute: ComputeIn<Subject, Value>,
    subject: Subject,
  ) => Value
  /** Works a thing out once for this state, or this scope. */
  once: <Subject extends object, Value>(compute: ComputeIn<Subject, Value>, subject: Subject) => Value
  /** Works a thing out once from immutable subjects alone. */
  forGood: <Subjects extends object[], Value>(
    compute: (...subjects: Subjects) => Value,
    ...subjects: Subjects
  ) => Value
  /** The steps a plan came to last for a radio, by id; whoever plans puts them in. */
  plansBefore: (radio: RadioSet, plan: unknown) => Map<string, object>
}

/**
 * Prepares a review for planning and judging. O(readings) comparisons by identity.
 * @throws CoreError `unknown-id` when the review names a rulebook neither it nor this version has.
 */
export function createContext(review: Review, shared: SharedWork = createSharedWork()): Context {
  const state = createState(review, shared)
  const { chains, chainHeads, lists } = state
  const radios = shared.cache.of(radiosById, review.sets)
  for (const id of shared.scopes.keys()) if (!radios.has(id)) shared.scopes.delete(id)
  const found = new Map<boolean, Map<string, Context | null>>(NARROW_FIRST.map(one => [one, new Map()]))
  const scoped = (radioId: string, wholeBench: boolean) =>
    entryOf(found.get(wholeBench)!, radioId, () => {
      const radio = radios.get(radioId)
      return radio ? shared.cache.of(scopeContext, scopeOf(radio, wholeBench, state), shared) : null
    })
  const whole: Context = {
    ...viewOf(
      {
        review,
        chains,
        chainHeads,
        ofRadio: id => ({
          readings: lists.readings.byRadio.get(id) ?? NONE,
          skipped: lists.skipped.byRadio.get(id) ?? NONE,
        }),
        stationData: (stationId, radioId) => {
          const kept = review.memos[stationId]
          return (radioId === null ? kept?.common : kept?.bySet[radioId]) ?? null
        },
      },
      shared,
    ),
    ofRadio(radioId, compute, subject) {
      for (const wholeBench of NARROW_FIRST) {
        const context = scoped(radioId, wholeBench)
        const tried = context && tryIn(context, compute, subject)
        if (tried) return tried.value
      }
      return whole.once(compute, subject)
    },
    once: (compute, subject) => shared.cache.of(compute, subject, whole),
  }
  return whole
}

/** Whether a scope sees the whole bench: it is tried without first. */
const NARROW_FIRST = [false, true]
const NONE: readonly never[] = Object.freeze([])

function radiosById(radios: readonly RadioSet[]): ReadonlyMap<string, RadioSet> {
  return new Map(radios.map(radio => [radio.id, radio]))
}
