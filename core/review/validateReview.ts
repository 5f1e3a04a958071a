import Joi from 'joi'
import { CoreError } from '../errors'
import { crossCheck } from './crossCheck'
import { migrateReview } from './migrateReview'
import { reviewSchema } from './schema'
import { readingSchema } from './schema/readings'
import { mostItems } from './schemaParts'
import { badReview } from './schemaRefusal'
import { type SureShape, sureShape } from './sureShape'
import type { Review } from './types'

/**
 * Takes unknown data for a review, brings an older form up to date, or says in plain words what is wrong with
 * it. Names inside are checked against each other too: a reading must belong to a set of the review.
 * @throws CoreError `bad-review`.
 */
export function validateReview(data: unknown): Review {
  const found = migrateReview(data)
  const schema = readingsAreSure(found) ? ofSureReadings() : reviewSchema
  const { error, value } = schema.validate(found, { abortEarly: true, convert: false, stripUnknown: false })
  if (error) throw badReview(error, 'This is not a review as this product writes it')
  const review = value as Review
  const wrong = crossCheck(review)
  if (wrong) throw new CoreError('bad-review', wrong.words, { why: wrong.why })
  return review
}

let quick: { isReading: SureShape | null; ofTheRest: Joi.ObjectSchema } | null = null

function quickly() {
  const readings = Joi.array().max(mostItems('readings')!).required()
  return (quick ??= { isReading: sureShape(readingSchema), ofTheRest: reviewSchema.keys({ readings }) })
}

/** Whether a quick look finds all readings sound: there are thousands, and the schema takes its time with each. */
function readingsAreSure(data: unknown): boolean {
  const { readings } = (data ?? {}) as { readings?: unknown }
  const { isReading } = quickly()
  return isReading !== null && Array.isArray(readings) && readings.every(isReading)
}

const ofSureReadings = () => quickly().ofTheRest
