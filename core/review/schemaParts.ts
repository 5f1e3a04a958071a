import type Joi from 'joi'
import { reviewSchema } from './schema'
import type { Review } from './types'

const fields = new Map<string, Joi.Schema>()

/** The fields a review has. */
const NAMES = new Set(
  (reviewSchema as unknown as { $_terms: { keys: { key: string }[] } }).$_terms.keys.map(({ key }) => key),
)

export const isField = (name: string): name is keyof Review => NAMES.has(name)

/** The schema of one field of a review. */
export function fieldSchema(field: keyof Review): Joi.Schema {
  let schema = fields.get(field)
  if (!schema) fields.set(field, (schema = reviewSchema.extract(field)))
  return schema
}

/** The schema of one item of a list; an empty place is none. */
export function itemSchema(field: keyof Review): Joi.Schema {
  const key = `${field}[]`
  let schema = fields.get(key)
  if (!schema) {
    const items = (fieldSchema(field) as unknown as { $_terms: { items: Joi.Schema[] } }).$_terms.items
    fields.set(key, (schema = items[0]!.required()))
  }
  return schema
}

/** Most items a list may have; null where nobody says. */
export function mostItems(field: keyof Review): number | null {
  const rule = fieldSchema(field).$_getRule('max') as { args: { limit: number } } | undefined
  return rule?.args.limit ?? null
}
