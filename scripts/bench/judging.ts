import { createContext, createSharedWork } from '../../core/context'
import type { Review } from '../../core/review'
import { wantedStations } from '../../core/station'
import { bigReview } from './bigReview'

/** What judging a large review takes, ms, medians of several runs in one engine. */
export interface JudgingTimes {
  judged: { what: string; ms: number }[]
  /** A JSON copy of the same review: the reference. */
  copyMs: number
}

/** Judges every step of a large review from nothing, and again after one pad's loss was changed. */
export function judgingTimes(): JudgingTimes {
  const many = bigReview({
    sets: 200,
    readingsPerSet: 60,
    rulebookIds: ['us-amateur', 'itu-spurious', 'eu-land-mobile'],
  })
  const copyMs = median(() => JSON.parse(JSON.stringify(many)), 5)
  const nothingMs = median(() => judgeAll(many), 9)
  const shared = createSharedWork()
  judgeAll(many, shared)
  let change = 0
  const padMs = median(() => judgeAll(withPad(many, 30 + (change += 0.01)), shared), 9)
  const readingsPerSet = many.readings.length / many.sets.length
  const size = `${many.sets.length} sets × ${readingsPerSet} readings × ${many.settings.rulebookIds.length} rulebooks`
  return {
    judged: [
      { what: `judging ${size}, from nothing`, ms: nothingMs },
      { what: 'one pad’s loss changed: the review judged again', ms: padMs },
    ],
    copyMs,
  }
}

function judgeAll(review: Review, work = createSharedWork()): number {
  const context = createContext(review, work)
  let judged = 0
  for (const set of review.sets)
    for (const station of wantedStations(context))
      for (const step of station.plan(set, context))
        judged += station.evaluate(step, context).slots.filter(slot => slot.found).length
  return judged
}

function withPad(review: Review, lossDb: number): Review {
  const parts = (chain: Review['chains'][number]) =>
    chain.parts.map(part =>
      part.id === 'pocket-p1' ? { ...part, loss: { kind: 'figure' as const, lossDb } } : part,
    )
  return {
    ...review,
    chains: review.chains.map(chain => (chain.id === 'pocket' ? { ...chain, parts: parts(chain) } : chain)),
  }
}

/** Median of several runs, ms. */
export function median(run: () => unknown, times = 9): number {
  const spent = Array.from({ length: times }, () => {
    const from = performance.now()
    run()
    return performance.now() - from
  }).sort((a, b) => a - b)
  return spent[times >> 1]!
}
