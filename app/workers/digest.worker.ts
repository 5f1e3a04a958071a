import { expose } from 'comlink'
import { digestOf, type ReviewDigest } from '#core/past'
import { validateReview } from '#core/review'

const api = {
  /** What a review comes to, as a shelf shows it; rejects for what is none. */
  digest: (kept: unknown): ReviewDigest => digestOf(validateReview(kept)),
}

export type DigestWorker = typeof api

expose(api)
