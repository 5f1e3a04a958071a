import { createIdentityCache, type IdentityCache } from '../cache'
import type { ByRadio, ClipHead, KeyDown, Reading, SkippedStep } from '../review'
import { createDistributions, type Distributions } from '../uncertainty'
import type { ChainHead } from './chainHeads'
import type { Scope } from './scope'

/** Lists of a review, by radio, as they were in its latest states: the latest first. */
export interface LatestLists {
  readings: readonly ByRadio<Reading>[]
  keyDowns: readonly ByRadio<KeyDown>[]
  skipped: readonly ByRadio<SkippedStep>[]
  clips: readonly ByRadio<ClipHead>[]
}

/**
 * Carried from one state of a review to the next by the store: results by the identity of their inputs, and the
 * objects that identity is compared by.
 */
export interface SharedWork {
  distributions: Distributions
  cache: IdentityCache
  lists: LatestLists
  chainHeads: readonly ChainHead[] | undefined
  /** The latest scopes of each radio, the latest first. */
  scopes: Map<string, readonly Scope[]>
  /** The steps each plan came to last, by radio and id: a step that says the same stays the same object. */
  plans: Map<unknown, WeakMap<object, Map<string, object>>>
}

/** Returns shared work with nothing in it. */
export function createSharedWork(): SharedWork {
  return {
    distributions: createDistributions(),
    cache: createIdentityCache(),
    lists: { readings: [], keyDowns: [], skipped: [], clips: [] },
    chainHeads: undefined,
    scopes: new Map(),
    plans: new Map(),
  }
}
