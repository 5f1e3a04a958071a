import type Joi from 'joi'

/** What a schema asks. */
export interface SchemaInside {
  type: string
  flags: Record<string, unknown>
  allowed: ReadonlySet<unknown>
  refused: ReadonlySet<unknown>
  rules: { name: string; args: Record<string, unknown> }[]
  /** Parts, items, patterns and the like, by their name in Joi; empty ones left out. */
  terms: Partial<SchemaTerms>
  /** Whether something hangs on other values, or on settings of its own. */
  hangsOnMore: boolean
}

/** What stands within a schema. */
export interface SchemaTerms {
  keys: { key: string; schema: Joi.Schema }[]
  patterns: { schema?: Joi.Schema; rule: Joi.Schema }[]
  items: Joi.Schema[]
  matches: SchemaMatch[]
}

/** One of several shapes: without a condition, or by what a part of the value is. */
export interface SchemaMatch {
  schema?: Joi.Schema
  ref?: { path: string[]; ancestor: number | 'root'; adjust?: unknown; map?: unknown; iterables?: unknown }
  is?: Joi.Schema
  then?: Joi.Schema
  otherwise?: Joi.Schema
}

/** A schema as it stands in memory. */
interface Raw {
  type: string
  $_terms: Record<string, unknown[] | null>
  _flags: Record<string, unknown>
  _valids: RawValues | null
  _invalids: RawValues | null
  _rules: { name: string; args?: Record<string, unknown> }[]
  _preferences: unknown
}

interface RawValues {
  _values: Set<unknown>
  _refs: Set<unknown>
}

/**
 * Reads off what a schema asks. Joi would describe it, but its build for browsers does not: what an extension of Joi
 * sees is looked at instead, and a test holds it against what Joi takes and refuses.
 */
export function schemaInside(schema: Joi.Schema): SchemaInside {
  const raw = schema as unknown as Raw
  const values = [raw._valids, raw._invalids]
  return {
    type: raw.type,
    flags: raw._flags,
    allowed: raw._valids?._values ?? new Set(),
    refused: raw._invalids?._values ?? new Set(),
    rules: raw._rules.map(({ name, args = {} }) => ({ name, args })),
    terms: Object.fromEntries(Object.entries(raw.$_terms).filter(([, term]) => term && term.length > 0)),
    hangsOnMore: raw._preferences !== null || values.some(one => (one?._refs.size ?? 0) > 0),
  }
}
