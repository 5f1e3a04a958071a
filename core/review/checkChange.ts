import type Joi from 'joi'
import { CoreError } from '../errors'
import { CROSS_CHECKED, crossCheck, type Touched } from './crossCheck'
import { fieldSchema, isField, itemSchema, mostItems } from './schemaParts'
import { badReview } from './schemaRefusal'
import type { Review } from './types'

/** Where something was changed: the keys from the review downwards, as immer names them. */
export type ChangedPath = readonly (string | number)[]

/**
 * Checks what a change touched, and nothing else, against the same schema that opening uses, so that nothing
 * is kept that could not be opened again.
 * @param next - the review as it would be.
 * @returns null where it may be kept, else what is wrong, in plain words.
 */
export function checkChange(next: Review, paths: readonly ChangedPath[]): CoreError<'bad-review'> | null {
  const touched = touchedOf(paths)
  for (const [field, items] of touched) {
    if (!isField(field))
      return new CoreError(
        'bad-review',
        `This was not kept: a review has nothing called “${String(field)}”.`,
        {
          why: String(field),
        },
      )
    const wrong = checkField(next, field, items)
    if (wrong) return wrong
  }
  if (!CROSS_CHECKED.some(field => touched.has(field))) return null
  const fault = crossCheck(next, touched)
  return fault && new CoreError('bad-review', fault.words, { why: fault.why })
}

function touchedOf(paths: readonly ChangedPath[]): Touched {
  const touched = new Map<keyof Review, Set<number> | null>()
  for (const [key, index] of paths) {
    const field = key as keyof Review
    const known = touched.get(field)
    if (known === null) continue
    if (typeof index === 'number') touched.set(field, (known ?? new Set<number>()).add(index))
    else if (index !== 'length') touched.set(field, null)
    else touched.set(field, known ?? new Set())
  }
  return touched
}

function checkField(
  next: Review,
  field: keyof Review,
  items: ReadonlySet<number> | null,
): CoreError<'bad-review'> | null {
  const value = next[field]
  const schema = fieldSchema(field)
  if (items === null || !Array.isArray(value)) return refusalOf(schema, value)
  const item = itemSchema(field)
  for (const index of items) {
    const wrong = index < value.length ? refusalOf(item, value[index]) : null
    if (wrong) return wrong
  }
  return tooMany(field, value.length)
}

function refusalOf(schema: Joi.Schema, value: unknown): CoreError<'bad-review'> | null {
  const { error } = schema.validate(value, { abortEarly: true, convert: false })
  return error ? badReview(error, 'This was not kept') : null
}

/** Only the length of a list is looked at: its items are checked one by one where they were touched. */
function tooMany(field: keyof Review, length: number): CoreError<'bad-review'> | null {
  const most = mostItems(field)
  return most !== null && length > most
    ? new CoreError('bad-review', `This was not kept: at most ${most} of these can be in a review.`, {
        why: `${length} of ${most}`,
      })
    : null
}
