import { expose } from 'comlink'
import { CoreError, type CoreErrorCode, type CoreErrorFacts } from '#core/errors'
import { type ReadReview, readReviewFile, type Review, validateReview } from '#core/review'

/** What came of it; a refusal crosses over as what it says. */
export type ReviewAnswer<T> =
  | { ok: true; value: T }
  | { ok: false; code: CoreErrorCode; message: string; facts: CoreErrorFacts[CoreErrorCode] }

function answered<T>(work: () => T): ReviewAnswer<T> {
  try {
    return { ok: true, value: work() }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    const { code, message, facts } = error as CoreError
    return { ok: false, code, message, facts }
  }
}

const api = {
  async readFile(file: File): Promise<ReviewAnswer<ReadReview>> {
    const text = await file.text()
    return answered(() => readReviewFile(text, file.name))
  },
  validate: (data: unknown): ReviewAnswer<Review> => answered(() => validateReview(data)),
}

export type ReviewWorker = typeof api

expose(api)
