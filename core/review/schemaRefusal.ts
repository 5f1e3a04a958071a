import type Joi from 'joi'
import { CoreError } from '../errors'

/** What a schema found wrong, as one plain sentence with its place. */
export function badReview(error: Joi.ValidationError, lead: string): CoreError<'bad-review'> {
  const detail = error.details[0]
  const where = detail?.path.length ? ` (at ${detail.path.join(' › ')})` : ''
  return new CoreError(
    'bad-review',
    `${lead}: ${plain(detail?.message ?? error.message)}${where}.`,
    { why: error.message },
    { cause: error },
  )
}

function plain(message: string): string {
  return message.replaceAll('"', '').replace(/^[\w.[\]]+ /, 'a value ')
}
