import { CoreError } from '../errors'
import { reviewSchema } from './schema'
import type { Review } from './types'

/**
 * Takes unknown data for a review, or says in plain words what is wrong with it. Names inside are
 * checked against each other too: a reading must belong to a set of the review.
 * @throws CoreError `bad-review`.
 */
export function validateReview(data: unknown): Review {
  const { error, value } = reviewSchema.validate(data, { abortEarly: true, convert: false, stripUnknown: false })
  if (error) {
    const detail = error.details[0]
    const where = detail?.path.length ? ` (at ${detail.path.join(' › ')})` : ''
    throw new CoreError('bad-review', `This is not a review as this product writes it: ${plain(detail?.message ?? error.message)}${where}.`, { why: error.message }, { cause: error })
  }
  const review = value as Review
  const setIds = new Set(review.sets.map(set => set.id))
  const stray = review.readings.find(reading => !setIds.has(reading.setId))
  if (stray) throw new CoreError('bad-review', 'This review holds a reading of a set that is not in it.', { why: `reading ${stray.id} names set ${stray.setId}` })
  return review
}

function plain(message: string): string {
  return message.replaceAll('"', '').replace(/^[\w.[\]]+ /, 'a value ')
}
