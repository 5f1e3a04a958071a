import Joi from 'joi'
import { CoreError } from '../errors'
import { crossCheck } from './crossCheck'
import { migrateReview } from './migrateReview'
import { reviewSchema } from './schema'
import { fieldSchema } from './schemaParts'
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
  const { error, value } = schemaFor(found).validate(found, {
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

/** A quick look at all readings, and the schema of a review whose readings are known to be sound. */
interface Quick {
  areReadings: SureShape | null
  ofTheRest: Joi.ObjectSchema
}

let quick: Quick | null = null

/** Made when it is first asked for. */
function quickly(): Quick {
  return (quick ??= {
    areReadings: sureShape(fieldSchema('readings')),
    ofTheRest: reviewSchema.keys({ readings: Joi.any().required() }),
  })
}

/** The schema a review is to be held to: there are thousands of readings, and Joi takes its time with each. */
function schemaFor(data: unknown): Joi.ObjectSchema {
  const { readings } = (data ?? {}) as { readings?: unknown }
  const { areReadings, ofTheRest } = quickly()
  return areReadings?.(readings) ? ofTheRest : reviewSchema
}
