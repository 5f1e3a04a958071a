import { wrap } from 'comlink'
import type { ReviewDifference, RulebookFlip, Supposition } from '#core/findings'
import type { Review } from '#core/review'
import type { Rulebook } from '#core/rules'
import { brokenWorker } from './brokenWorker'
import type { ComparisonWorker } from './comparison.worker'

/** A comparison that was begun: it can be let go. */
export interface ComparisonJob<T> {
  done: Promise<T>
  cancel: () => void
}

/** Judges twice beside the page, in a worker that goes with the answer. */
function job<T>(ask: (worker: ComparisonWorker) => Promise<T> | T): ComparisonJob<T> {
  const worker = new Worker(new URL('./comparison.worker.ts', import.meta.url), { type: 'module' })
  const broken = brokenWorker(
    worker,
    'The part of the program that judges by both did not start. Nothing is lost; try again.',
  )
  const asked = ask(wrap<ComparisonWorker>(worker) as unknown as ComparisonWorker)
  return {
    done: Promise.race([asked, broken]).finally(() => worker.terminate()),
    cancel: () => worker.terminate(),
  }
}

/** The verdicts of a review that turn between two editions of a rulebook. */
export const flipsBetween = (
  review: Review,
  before: Rulebook,
  after: Rulebook,
): ComparisonJob<RulebookFlip[]> => job(worker => worker.flips(review, before, after))

/** What of a review would come out otherwise if something were. */
export const differencesIf = (review: Review, supposition: Supposition): ComparisonJob<ReviewDifference[]> =>
  job(worker => worker.differences(review, supposition))
