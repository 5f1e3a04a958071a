import type Joi from 'joi'
import { type SchemaInside, schemaInside, type SchemaMatch, type SchemaTerms } from './schemaInside'

/** Says whether a value is surely what a schema takes as it stands. No: the schema has to be asked. */
export type SureShape = (value: unknown) => boolean

/**
 * A quick look made from a schema: it walks the value once, without what a schema keeps ready to tell what is wrong.
 * Where it says yes, the schema takes the value and changes nothing of it; of what it says no to, the schema may still
 * take some (a moment written in a rarer form).
 * @returns null where the schema asks something that this does not know.
 */
export function sureShape(schema: Joi.Schema): SureShape | null {
  try {
    return present(schema)
  } catch (error) {
    if (error instanceof NotKnown) return null
    throw error
  }
}

class NotKnown extends Error {}

/** @throws NotKnown where something else is among them. */
function only(found: Iterable<unknown>, known: readonly unknown[]): void {
  for (const one of found) if (!known.includes(one)) throw new NotKnown()
}

/** Of a value that is there: what is not there is never sure. */
function present(schema: Joi.Schema): SureShape {
  const inside = schemaInside(schema)
  const { flags, allowed, refused, terms, hangsOnMore } = inside
  only(Object.keys(flags), ['presence', 'only', '_endedSwitch'])
  only([flags.presence ?? 'optional'], ['required', 'optional'])
  only(Object.keys(terms), ['keys', 'patterns', 'items', '_inclusions', 'matches'])
  only([hangsOnMore], [false])
  if (flags.only) return value => value !== undefined && allowed.has(value)
  const has = shapeOfType(inside)
  if (refused.size === 0 && allowed.size === 0) return has
  return value => value !== undefined && (allowed.has(value) || (!refused.has(value) && has(value)))
}

const isRequired = (schema: Joi.Schema) => schemaInside(schema).flags.presence === 'required'

function shapeOfType(inside: SchemaInside): SureShape {
  const make = TYPES[inside.type]
  if (!make) throw new NotKnown()
  return make(inside)
}

const TYPES: Record<string, (inside: SchemaInside) => SureShape> = {
  any: ({ rules }) => {
    only(rules, [])
    return value => value !== undefined
  },
  boolean: ({ rules }) => {
    only(rules, [])
    return value => typeof value === 'boolean'
  },
  number: ({ rules }) => {
    const holds = rulesOf(rules, NUMBER_RULES)
    return value => typeof value === 'number' && Math.abs(value) <= Number.MAX_SAFE_INTEGER && holds(value)
  },
  string: ({ rules }) => {
    const holds = rulesOf(rules, STRING_RULES)
    return value => typeof value === 'string' && value !== '' && holds(value)
  },
  array: ({ rules, terms: { items = [] } }) => arrayShape(rules, items),
  object: ({ rules, terms: { keys = [], patterns = [] } }) => {
    only(rules, [])
    return objectShape(keys, patterns)
  },
  alternatives: ({ rules, terms: { matches = [] } }) => {
    only(rules, [])
    return alternativesShape(matches)
  },
}

type Rules = SchemaInside['rules']
type RuleOf<T> = (limit: number, args: Record<string, unknown>) => (value: T) => boolean

function rulesOf<T>(rules: Rules, known: Record<string, RuleOf<T>>): (value: T) => boolean {
  const tests = rules.map(({ name, args }) => {
    const make = known[name]
    if (!make) throw new NotKnown()
    only([typeof (args.limit ?? 0)], ['number'])
    return make(args.limit as number, args)
  })
  return value => tests.every(test => test(value))
}

const NUMBER_RULES: Record<string, RuleOf<number>> = {
  min: limit => value => value >= limit,
  max: limit => value => value <= limit,
  greater: limit => value => value > limit,
  less: limit => value => value < limit,
  integer: () => Number.isInteger,
}

const LENGTH_RULES: Record<string, RuleOf<{ length: number }>> = {
  min: limit => value => value.length >= limit,
  max: limit => value => value.length <= limit,
}

/** The form the application writes, days that every month has. */
const PLAIN_MOMENT =
  /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|1\d|2[0-8])T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,3})?Z$/

const STRING_RULES: Record<string, RuleOf<string>> = {
  ...LENGTH_RULES,
  isoDate: () => value => PLAIN_MOMENT.test(value),
  pattern: (_limit, { regex, options }) => {
    only(Object.keys(options ?? {}), [])
    const pattern = regex as RegExp
    return value => pattern.test(value)
  },
}

function arrayShape(rules: Rules, items: Joi.Schema[]): SureShape {
  const ofLength = rules.filter(({ name }) => name !== 'items')
  const holds = rulesOf(ofLength, LENGTH_RULES)
  // One that must be there is wanted once at least, of several each may be another.
  if (items.length !== 1 || isRequired(items[0]!)) throw new NotKnown()
  const item = present(items[0]!)
  return value => {
    if (!Array.isArray(value) || !holds(value)) return false
    // A hole is nothing, and is not passed over.
    for (let i = 0; i < value.length; i++) if (!item(value[i])) return false
    return true
  }
}

function objectShape(keys: SchemaTerms['keys'], patterns: SchemaTerms['patterns']): SureShape {
  const parts = new Map(keys.map(({ key, schema }) => [key, present(schema)]))
  const required = keys.filter(({ schema }) => isRequired(schema)).map(({ key }) => key)
  const [pattern, ...more] = patterns
  if (more.length > 0 || (parts.size === 0 && !pattern)) throw new NotKnown()
  const fits = pattern && pairShape(pattern)
  return value => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false
    const own = value as Record<string, unknown>
    for (const key of required) if (!Object.hasOwn(own, key)) return false
    for (const key of Object.keys(own)) {
      const part = parts.get(key)
      if (part ? !part(own[key]) : !fits?.(key, own[key])) return false
    }
    return true
  }
}

/** A key of any name with its value. */
function pairShape(pattern: SchemaTerms['patterns'][number]) {
  only(Object.keys(pattern), ['schema', 'rule'])
  if (!pattern.schema) throw new NotKnown()
  const [name, part] = [present(pattern.schema), present(pattern.rule)]
  return (key: string, value: unknown) => name(key) && part(value)
}

function alternativesShape(matches: SchemaMatch[]): SureShape {
  if (matches.length === 1 && matches[0]!.ref) return byPart(matches[0]!)
  const any = matches.map(match => {
    only(Object.keys(match), ['schema'])
    return present(match.schema!)
  })
  return value => any.some(fits => fits(value))
}

/** One shape or another, by what one part of the value is. */
function byPart({ ref, is, then, otherwise }: SchemaMatch): SureShape {
  const [key, ...deeper] = ref?.path ?? []
  if (key === undefined || deeper.length > 0 || ref!.ancestor !== 0 || !is || !then || !otherwise)
    throw new NotKnown()
  only([ref!.adjust ?? null, ref!.map ?? null, ref!.iterables ?? null], [null])
  // Only where it is one of some values is the answer of a quick look the schema's own, yes or no.
  only([schemaInside(is).flags.only ?? false], [true])
  const [decides, one, other] = [present(is), present(then), present(otherwise)]
  return value => {
    if (typeof value !== 'object' || value === null) return false
    return decides((value as Record<string, unknown>)[key]) ? one(value) : other(value)
  }
}
