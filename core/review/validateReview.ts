import { CoreError } from '../errors'
import { rulebooks, yardsticks } from '../rules'
import { migrateReview } from './migrateReview'
import { reviewSchema } from './schema'
import type { Review } from './types'

/**
 * Takes unknown data for a review, brings an older form up to date, or says in plain words what is wrong with
 * it. Names inside are
 * checked against each other too: a reading must belong to a set of the review.
 * @throws CoreError `bad-review`.
 */
export function validateReview(data: unknown): Review {
  const { error, value } = reviewSchema.validate(migrateReview(data), {
    abortEarly: true,
    convert: false,
    stripUnknown: false,
  })
  if (error) {
    const detail = error.details[0]
    const where = detail?.path.length ? ` (at ${detail.path.join(' › ')})` : ''
    throw new CoreError(
      'bad-review',
      `This is not a review as this product writes it: ${plain(detail?.message ?? error.message)}${where}.`,
      { why: error.message },
      { cause: error },
    )
  }
  const review = value as Review
  const setIds = new Set(review.sets.map(set => set.id))
  const stray = [...review.readings, ...review.figures].find(reading => !setIds.has(reading.setId))
  if (stray)
    throw new CoreError('bad-review', 'This review holds a reading of a set that is not in it.', {
      why: `reading ${stray.id} names set ${stray.setId}`,
    })
  const known = new Set([...rulebooks, ...yardsticks, ...review.ownRulebooks].map(book => book.id))
  const asked = [
    ...review.settings.rulebookIds,
    ...(review.settings.yardstickId === null ? [] : [review.settings.yardstickId]),
    ...review.sets.flatMap(set => set.bands.flatMap(band => band.rulebookIds ?? [])),
  ]
  const unknown = asked.find(id => !known.has(id))
  if (unknown !== undefined)
    throw new CoreError(
      'bad-review',
      `This review is judged by the rulebook “${unknown}”, which neither it nor this version holds.`,
      { why: `unknown rulebook ${unknown}` },
    )
  return review
}

function plain(message: string): string {
  return message.replaceAll('"', '').replace(/^[\w.[\]]+ /, 'a value ')
}
