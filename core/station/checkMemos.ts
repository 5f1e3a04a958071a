import type Joi from 'joi'
import { CoreError } from '../errors'
import type { Review } from '../review'
import { stations } from './stations'

/**
 * Checks what stations keep besides readings against the schemas they bring.
 * @returns null where all may be kept, else which station refuses, and why.
 */
export function checkMemos({ memos }: Pick<Review, 'memos'>): CoreError<'bad-review'> | null {
  for (const { id, title, memo: schemas } of stations) {
    const memo = memos[id]
    if (!memo || !schemas) continue
    const parts: [Joi.Schema | undefined, unknown][] = [
      [schemas.common, memo.common],
      ...Object.values(memo.bySet).map((part): [Joi.Schema | undefined, unknown] => [schemas.bySet, part]),
    ]
    for (const [schema, part] of parts) {
      const why = part === null ? undefined : schema?.validate(part, { convert: false }).error?.message
      if (why) return new CoreError('bad-review', `“${title}” cannot keep this: ${why}.`, { why })
    }
  }
  return null
}
