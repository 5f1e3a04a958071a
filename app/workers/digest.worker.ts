import { expose } from 'comlink'
import { digestOf, type ReviewDigest } from '#core/past'
import type { Review } from '#core/review'

const api = {
  /** What a review comes to, as a shelf shows it. */
  digest: (review: Review): ReviewDigest => digestOf(review),
}

export type DigestWorker = typeof api

expose(api)
