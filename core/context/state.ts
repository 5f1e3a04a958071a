import { type Chain, joinedChain } from '../chain'
import { byRadio, type ByRadio, type Review } from '../review'
import { chainHeads, type ChainHead } from './chainHeads'
import type { LatestLists, SharedWork } from './sharedWork'

/** One state of a review with its lists looked up. */
export interface State {
  review: Review
  shared: SharedWork
  /** Chains by id, each whole: with what it shares with another in front. */
  chains: ReadonlyMap<string, Chain>
  chainHeads: readonly ChainHead[]
  lists: { [Key in keyof LatestLists]: LatestLists[Key][number] }
}

/** Looks a review up. O(readings) comparisons by identity. */
export function createState(review: Review, shared: SharedWork): State {
  const latest = <Key extends keyof LatestLists>(key: Key) => {
    const before = shared.lists[key] as readonly ByRadio<Review[Key][number]>[]
    const now = byRadio<Review[Key][number]>(review[key], before)
    // A figure being typed stands at the end of a list of its own, beside the list it goes on from.
    if (before[0] !== now)
      shared.lists = { ...shared.lists, [key]: [now, ...before.filter(one => one !== now)].slice(0, 2) }
    return now
  }
  shared.chainHeads = chainHeads(review.chains, shared.chainHeads)
  return {
    review,
    shared,
    chains: wholeChains(review.chains, shared),
    chainHeads: shared.chainHeads,
    lists: {
      readings: latest('readings'),
      keyDowns: latest('keyDowns'),
      skipped: latest('skipped'),
      clips: latest('clips'),
    } as State['lists'],
  }
}

function wholeChains(stored: readonly Chain[], { cache }: SharedWork): Map<string, Chain> {
  const chains = new Map(stored.map(chain => [chain.id, chain]))
  for (const chain of stored) {
    const host = chain.joins ? stored.find(({ id }) => id === chain.joins!.chainId) : undefined
    if (host) chains.set(chain.id, cache.of(joinedChain, chain, host))
  }
  return chains
}
