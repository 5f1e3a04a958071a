import type Joi from 'joi'
import { schemaInside } from '../../core/review/schemaInside'

/** A field of a schema: keys joined by dots, `*` for each item of a list and each key of a record. */
export type FieldPath = string

/** Every field a schema has that holds no further fields, whatever shape it stands in. */
export function fieldsOf(schema: Joi.Schema, at: FieldPath = ''): Set<FieldPath> {
  const { terms } = schemaInside(schema)
  const under = (key: string) => (at === '' ? key : `${at}.${key}`)
  const below = new Set<FieldPath>()
  const add = (one: Joi.Schema | undefined, path: FieldPath) => {
    if (one) for (const field of fieldsOf(one, path)) below.add(field)
  }
  for (const { key, schema: part } of terms.keys ?? []) add(part, under(key))
  for (const { rule } of terms.patterns ?? []) add(rule, under('*'))
  for (const item of terms.items ?? []) add(item, under('*'))
  for (const { schema: shape, then, otherwise } of terms.matches ?? [])
    for (const one of [shape, then, otherwise]) add(one, at)
  return below.size > 0 ? below : new Set([at])
}

/** Values a schema names for a field, in whatever shape it stands. */
export function namedValues(schema: Joi.Schema, path: FieldPath): unknown[] {
  const { allowed, terms } = schemaInside(schema)
  const shapes = (terms.matches ?? []).flatMap(({ schema: shape, then, otherwise }) =>
    [shape, then, otherwise].filter(one => one !== undefined),
  )
  const inShapes = shapes.flatMap(shape => namedValues(shape, path))
  if (path === '') return [...allowed, ...inShapes]
  const [key, ...rest] = path.split('.')
  const inside = [
    ...(terms.keys ?? []).filter(one => one.key === key).map(one => one.schema),
    ...(key === '*' ? [...(terms.items ?? []), ...(terms.patterns ?? []).map(({ rule }) => rule)] : []),
  ]
  return [...inShapes, ...inside.flatMap(one => namedValues(one, rest.join('.')))]
}

/** Where a field stands in a document. */
export type Place = (string | number)[]

/** All places of a field in a document. */
export function placesOf(document: unknown, path: FieldPath): Place[] {
  if (path === '') return [[]]
  if (document === null || typeof document !== 'object') return []
  const [key, ...rest] = path.split('.')
  const keys = key === '*' ? Object.keys(document) : [key!].filter(one => Object.hasOwn(document, one))
  return keys.flatMap(one =>
    placesOf((document as Record<string, unknown>)[one], rest.join('.')).map(place => [one, ...place]),
  )
}

/** What stands at a place. */
export function valueAt(document: unknown, place: Place): unknown {
  return place.reduce<unknown>((value, key) => (value as Record<string, unknown>)[key], document)
}

/** The document with another value at a place; all that does not lie on the way stays the very same. */
export function withValue<T>(document: T, place: Place, value: unknown): T {
  const [key, ...rest] = place
  if (key === undefined) return value as T
  const copy = (Array.isArray(document) ? [...document] : { ...document }) as Record<string, unknown>
  copy[key] = withValue(copy[key], rest, value)
  return copy as T
}

/** Other values for a field, the likeliest to be allowed first. */
export function otherValues(value: unknown): unknown[] {
  switch (typeof value) {
    case 'number':
      return [value * 1.25, value + 1, value - 1, Math.round(value * 1.25) + 1, value / 2, 3]
    case 'string':
      return [`${value}x`, '2026-11-30T10:00:00.000Z', `${value.slice(0, -1)}${value.endsWith('0') ? 1 : 0}`]
    case 'boolean':
      return [!value]
    default:
      return value === null ? [7, 'other', []] : [null, [], {}]
  }
}
