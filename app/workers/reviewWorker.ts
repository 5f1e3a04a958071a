import { wrap } from 'comlink'
import { CoreError } from '#core/errors'
import type { ReadReview, Review } from '#core/review'
import type { ReviewAnswer, ReviewWorker } from './review.worker'

/** A file of more than this, or a review of more readings, would keep the page from answering. */
const LARGE = { bytes: 1_000_000, readings: 1500 }

export const isLargeFile = (file: File): boolean => file.size > LARGE.bytes && typeof Worker !== 'undefined'

export function isLargeReview(data: { readings?: unknown }): boolean {
  return (
    Array.isArray(data.readings) && data.readings.length > LARGE.readings && typeof Worker !== 'undefined'
  )
}

/** Asks a worker that is there for this question alone: what it holds of a large review goes with it. */
async function asked<T>(
  ask: (worker: ReviewWorker) => ReviewAnswer<T> | Promise<ReviewAnswer<T>>,
): Promise<T> {
  const worker = new Worker(new URL('./review.worker.ts', import.meta.url), { type: 'module' })
  const broken = new Promise<never>((_resolve, reject) =>
    worker.addEventListener('error', () =>
      reject(
        new Error(
          'The part of the program that looks through reviews did not start. Nothing was changed; reload the page and try again.',
        ),
      ),
    ),
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
