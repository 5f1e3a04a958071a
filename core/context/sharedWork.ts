import type { Chain } from '../chain'
import { createMemory, type Memory } from '../derive'
import type { Standing } from '../review'
import type { Rulebook } from '../rules'
import { createDistributions, type Distributions } from '../uncertainty'

/** What may be kept from one state of a review to the next, as long as whoever holds it likes. */
export interface SharedWork {
  distributions: Distributions
  memory: Memory
  /** The readings that stood in the latest states, the latest first. */
  standing: readonly Standing[]
  /** Chains with their calibrations, by the chain as stored and the calibrations wanted. */
  chains: WeakMap<Chain, Map<string, { calibrations: unknown; swaps: unknown; chain: Chain }>>
  /** Chains that join another, whole, by the chain as stored. */
  joined: WeakMap<Chain, { host: Chain; whole: Chain }>
  /** Lists of rulebooks, for the reviewer's own rulebooks of then. */
  books: BookLists
}

/** Lists of rulebooks by their ids, and by the very list of ids that was asked with. */
export interface BookLists {
  own: unknown
  byIds: Map<string, readonly Rulebook[]>
  asked: WeakMap<readonly string[], readonly Rulebook[]>
}

/** No lists yet, for the reviewer’s own rulebooks of now. */
export function bookLists(own: unknown): BookLists {
  return { own, byIds: new Map(), asked: new WeakMap() }
}

/** Fresh shared work. */
export function createSharedWork(): SharedWork {
  return {
    distributions: createDistributions(),
    memory: createMemory(),
    standing: [],
    chains: new WeakMap(),
    joined: new WeakMap(),
    books: bookLists(null),
  }
}
