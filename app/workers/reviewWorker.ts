import { wrap } from 'comlink'
import { CoreError } from '#core/errors'
import type { ReadReview, Review } from '#core/review'
import { isSmallReview, LARGE_FILE_BYTES } from '~/largeReview'
import { brokenWorker } from './brokenWorker'
import type { ReviewAnswer, ReviewWorker } from './review.worker'

const canWork = () => typeof Worker !== 'undefined'

export const isLargeFile = (file: File): boolean => file.size > LARGE_FILE_BYTES && canWork()

/** Whether data of a review, of which nobody knows yet that it is sound, is much. */
export function isLargeReview({ sets, readings }: { sets?: unknown; readings?: unknown }): boolean {
  const lists = { sets: Array.isArray(sets) ? sets : [], readings: Array.isArray(readings) ? readings : [] }
  return !isSmallReview(lists as Pick<Review, 'sets' | 'readings'>) && canWork()
}

/** Asks a worker that is there for this question alone: what it holds of a large review goes with it. */
async function asked<T>(
  ask: (worker: ReviewWorker) => ReviewAnswer<T> | Promise<ReviewAnswer<T>>,
): Promise<T> {
  const worker = new Worker(new URL('./review.worker.ts', import.meta.url), { type: 'module' })
  const broken = brokenWorker(
    worker,
    'The part of the program that looks through reviews did not start. Nothing was changed; ' +
      'reload the page and try again.',
  )
  try {
    const answer = await Promise.race([ask(wrap<ReviewWorker>(worker) as unknown as ReviewWorker), broken])
    if (answer.ok) return answer.value
    throw new CoreError(answer.code, answer.message, answer.facts)
  } finally {
    worker.terminate()
  }
}

/** Reads a review file. @throws CoreError as `readReviewFile` does. */
export const readReviewFileAside = (file: File): Promise<ReadReview> => asked(worker => worker.readFile(file))

/** Looks a review through. @throws CoreError as `validateReview` does. */
export const validateReviewAside = (data: unknown): Promise<Review> => asked(worker => worker.validate(data))
