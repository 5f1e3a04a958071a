import { wrap } from 'comlink'
import type { RulebookFlip } from '#core/findings'
import type { Review } from '#core/review'
import type { Rulebook } from '#core/rules'
import { brokenWorker } from './brokenWorker'
import type { ComparisonWorker } from './comparison.worker'

/** Judges a review by two editions of a rulebook beside the page, in a worker that goes with the answer. */
export function flipsBetween(
  review: Review,
  before: Rulebook,
  after: Rulebook,
): { done: Promise<RulebookFlip[]>; cancel: () => void } {
  const worker = new Worker(new URL('./comparison.worker.ts', import.meta.url), { type: 'module' })
  const broken = brokenWorker(
    worker,
    'The part of the program that judges by both did not start. Nothing is lost; try again.',
  )
  const asked = wrap<ComparisonWorker>(worker).flips(review, before, after)
  return {
    done: Promise.race([asked, broken]).finally(() => worker.terminate()),
    cancel: () => worker.terminate(),
  }
}
