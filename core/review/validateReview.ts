import { CoreError } from '../errors'
import { crossCheck } from './crossCheck'
import { migrateReview } from './migrateReview'
import { reviewSchema } from './schema'
import { badReview } from './schemaRefusal'
import type { Review } from './types'

/**
 * Takes unknown data for a review, brings an older form up to date, or says in plain words what is wrong with
 * it. Names inside are checked against each other too: a reading must belong to a set of the review.
 * @throws CoreError `bad-review`.
 */
export function validateReview(data: unknown): Review {
  const { error, value } = reviewSchema.validate(migrateReview(data), {
    abortEarly: true,
    convert: false,
    stripUnknown: false,
  })
  if (error) throw badReview(error, 'This is not a review as this product writes it')
  const review = value as Review
  const wrong = crossCheck(review)
  if (wrong) throw new CoreError('bad-review', wrong.words, { why: wrong.why })
  return review
}
