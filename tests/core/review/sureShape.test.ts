import Joi from 'joi'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { readingSchema } from '#core/review/schema/readings'
import { sureShape } from '#core/review/sureShape'
import { validateReview } from '#core/review'

const takes = (schema: Joi.Schema, value: unknown) =>
  schema.validate(value, { convert: false }).error === undefined

/** Values that lie on either side of what schemas allow. */
const UGLY: unknown[] = [
  ...[
    undefined,
    null,
    true,
    false,
    '',
    ' ',
    'x',
    '0',
    'level',
    'figure',
    'typed',
    'file',
    'link',
    'W',
    'dBm',
  ],
  ...[
    'x'.repeat(80),
    'x'.repeat(81),
    'x'.repeat(400),
    'x'.repeat(401),
    'a b',
    'constructor',
    '__proto__',
    'ä',
  ],
  ...['2026-02-28T10:00:00.000Z', '2026-02-28T10:00:00Z', '2026-13-01T10:00:00Z', '2026-01-01T24:30:00Z'],
  ...[0, -0, 1, -1, 0.5, 1e-9, 300, 300.1, -300, -301, 400, 1e9, 1e9 + 1, 1e12, 1e12 + 1, -1e12],
  ...[NaN, Infinity, -Infinity, Number.MAX_SAFE_INTEGER, Number.MAX_SAFE_INTEGER + 1, 2 ** 60],
  ...[
    [],
    [1],
    [301],
    ['a'],
    [null],
    [undefined],
    Array(2),
    Array(101).fill(0),
    {},
    { a: 1 },
    { kind: 'typed' },
  ],
  ...[{ kind: 'demo', more: 1 }, { kind: 'link', instrument: 'x', answer: '' }, { kind: 'nothing' }],
]

type Plain = Record<string, unknown>
const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null

/** Every place within a value, as the keys that lead there. */
function placesIn(value: unknown, path: string[] = []): string[][] {
  if (!isPlain(value)) return [path]
  return [path, ...Object.keys(value).flatMap(key => placesIn(value[key], [...path, key]))]
}

function changedAt(value: unknown, [key, ...rest]: string[], to: unknown): unknown {
  if (key === undefined) return to
  const copy = (Array.isArray(value) ? [...value] : { ...(value as Plain) }) as Plain
  copy[key] = changedAt(copy[key], rest, to)
  return copy
}

/** What a value becomes with one place of it changed, taken out, or with one more part. */
function* mutantsOf(value: unknown): Generator<unknown> {
  for (const path of placesIn(value)) {
    for (const ugly of UGLY) yield changedAt(value, path, ugly)
    const key = path.at(-1)
    if (key === undefined) continue
    const holder = valueAt(value, path.slice(0, -1))
    if (!isPlain(holder) || Array.isArray(holder)) continue
    const { [key]: _gone, ...rest } = holder
    yield changedAt(value, path.slice(0, -1), rest)
    yield changedAt(value, path.slice(0, -1), { ...holder, more: 1 })
  }
}

const valueAt = (value: unknown, path: string[]) =>
  path.reduce<unknown>((one, part) => (one as Plain)[part], value)

/** Whether a part is named and missing: the schema takes that where the part may be left out. */
const namesNothing = (value: unknown) =>
  placesIn(value).some(path => valueAt(value, path) === undefined) || value === undefined

const SOURCES = [
  { kind: 'typed' },
  { kind: 'file', fileName: 'sweep.csv', sha256: '', traceId: 'one' },
  { kind: 'recording', fileName: 'one.wav', sha256: 'x'.repeat(128), curveIds: ['a', 'b'] },
  { kind: 'link', instrument: 'Club analyser' },
]

/** One reading of each make: other keys somewhere, or another kind of source; and one from each source there is. */
function makes(): unknown[] {
  const { readings } = demoReview().review
  const make = (reading: (typeof readings)[number]) =>
    JSON.stringify([placesIn(reading), reading.source.kind, reading.seen.as, reading.through])
  const different = [...new Map(readings.map(reading => [make(reading), reading])).values()]
  return [...different.slice(0, 12), ...SOURCES.map(source => ({ ...readings[0], source }))]
}

describe('a quick look at a reading', () => {
  const isReading = sureShape(readingSchema)!

  it('knows all that the schema of a reading asks', () => {
    expect(isReading).not.toBeNull()
  })

  it('finds every reading of the demo sound', () => {
    expect(demoReview().review.readings.filter(reading => !isReading(reading))).toEqual([])
  })

  it('takes and refuses what Joi does, whatever is changed in readings of every make', () => {
    let [taken, refused] = [0, 0]
    for (const reading of makes())
      for (const mutant of mutantsOf(reading)) {
        const sure = isReading(mutant)
        // Compared before anything is expected: there are tens of thousands.
        if (sure !== takes(readingSchema, mutant) && (sure || !namesNothing(mutant)))
          expect([sure, mutant]).toEqual([!sure, mutant])
        if (sure) taken += 1
        else refused += 1
      }
    expect(taken).toBeGreaterThan(1000)
    expect(refused).toBeGreaterThan(10_000)
  })

  it('leaves rarer forms of a moment to the schema: it is not sure, and they are taken', () => {
    const [reading] = demoReview().review.readings
    for (const at of ['2026-12-31T10:00:00+01:00', '2026-01-31T10:00:00.000Z', '2026-12-01T10:00Z']) {
      expect(isReading({ ...reading, at })).toBe(false)
      expect(takes(readingSchema, { ...reading, at })).toBe(true)
    }
  })
})

describe('a quick look', () => {
  const exact: [string, Joi.Schema][] = [
    ['numbers between', Joi.number().greater(0).less(300).required()],
    ['whole numbers', Joi.number().integer().min(1).max(300)],
    ['numbers or nothing', Joi.number().min(0).allow(null)],
    ['one of some', Joi.valid('x', 1, null).required()],
    ['strings, not empty', Joi.string().max(80).required()],
    ['strings', Joi.string().allow('').min(1).max(400)],
    [
      'strings of a pattern, but for one',
      Joi.string()
        .pattern(/^[x0]+$/i)
        .invalid('x'),
    ],
    ['lists', Joi.array().items(Joi.number().max(300)).min(1).max(100)],
    ['things by name', Joi.object().pattern(Joi.string().max(1), Joi.number().required())],
    ['one part or another', Joi.object({ a: Joi.number().required(), kind: Joi.string() })],
    ['one shape or another', Joi.alternatives(Joi.number().max(0), Joi.object({ kind: Joi.any() }))],
    ['yes or no', Joi.boolean().required()],
  ]

  it.each(exact)('%s: what is there is taken and refused as Joi does', (_name, schema) => {
    const isSure = sureShape(schema)!
    for (const value of UGLY.filter(value => value !== undefined))
      expect([value, isSure(value)]).toEqual([value, takes(schema, value)])
  })

  it.each([
    ['a rule of one’s own', Joi.any().custom(value => value)],
    ['a list of several kinds', Joi.array().items(Joi.number(), Joi.string())],
    ['parts that hang together', Joi.object({ a: Joi.any(), b: Joi.any() }).and('a', 'b')],
    ['a limit that is another part', Joi.object({ a: Joi.number(), b: Joi.number().min(Joi.ref('a')) })],
    ['what must not be there', Joi.object({ a: Joi.any().forbidden() })],
    ['whatever else there is', Joi.object({ a: Joi.any() }).unknown()],
    ['capitals or not', Joi.string().valid('x').insensitive()],
    ['a name for it', Joi.string().hex()],
    ['a date', Joi.date()],
    ['a pattern that must not be', Joi.string().pattern(/x/, { invert: true })],
  ])('%s: not known, so the schema is always asked', (_name, schema) => {
    expect(sureShape(schema)).toBeNull()
  })
})

describe('a review', () => {
  const { review } = demoReview()
  const refusedFor = (readings: unknown) => {
    try {
      validateReview({ ...review, readings })
    } catch (error) {
      return (error as Error).message
    }
    return 'taken'
  }

  it('whose readings are sound is taken, with every reading as it was', () => {
    expect(validateReview(structuredClone(review)).readings).toEqual(review.readings)
  })

  it('with one odd reading among sound ones is refused in Joi’s words, at its place', () => {
    const odd = review.readings.map((one, i) => (i === 7 ? { ...one, ambientC: 201 } : one))
    expect(refusedFor(odd)).toBe(
      'This is not a review as this product writes it: a value must be less than or equal to 200 ' +
        '(at readings › 7 › ambientC).',
    )
  })

  it('with a reading of a rarer moment is taken all the same', () => {
    const rare = review.readings.map((one, i) => (i === 7 ? { ...one, at: '2026-12-31T10:00Z' } : one))
    expect(refusedFor(rare)).toBe('taken')
  })

  it('with a hole among its readings is refused', () => {
    const [first, ...rest] = review.readings
    const holed = [first, ...rest]
    delete holed[3]
    expect(refusedFor(holed)).toMatch(/\(at readings › 3\)\.$/)
  })

  it('with more readings than one may have is refused, however sound they are', () => {
    const many = (count: number) => Array.from({ length: count }, () => review.readings[0])
    expect(refusedFor(many(100_001))).toMatch(/less than or equal to 100000 items.*\(at readings\)\.$/)
  })

  it('without readings at all is refused', () => {
    expect(refusedFor(undefined)).toMatch(/required.*\(at readings\)\.$/)
  })
})
