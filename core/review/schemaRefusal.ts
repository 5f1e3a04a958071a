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
  // What may stand there are whole things, which have no name in a sentence.
  if (message.includes('[object]')) return 'a value is of no kind that is known here'
  return message.replaceAll('"', '').replace(/^[\w.[\]]+ /, 'a value ')
}
