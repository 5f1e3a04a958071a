import { expose } from 'comlink'
import { type ReviewDifference, rulebookFlips, type Supposition, whatIf } from '#core/findings'
import type { Review } from '#core/review'

const api = {
  /** The verdicts of a review that turn between two editions of a rulebook. */
  flips: rulebookFlips,

  /** What would come out otherwise if something were. */
  differences: (review: Review, supposition: Supposition): ReviewDifference[] => whatIf(review, supposition),
}

export type ComparisonWorker = typeof api

expose(api)
