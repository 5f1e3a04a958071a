import Ajv from 'ajv'
import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import {
  bookFiles,
  copyRulebook,
  evaluateLimit,
  evaluateScalar,
  type LimitClause,
  readRulebookFile,
  RULEBOOK_FORMAT,
  rulebookById,
  rulebookSchema,
  rulebooks,
  type Rulebook,
  validateRulebook,
  writeRulebookFile,
  yardsticks,
} from '#core/rules'

const published = new Ajv({ strict: true, allErrors: false, allowUnionTypes: true }).compile(
  JSON.parse(readFileSync('public/schema/rulebook-1.schema.json', 'utf8')) as object,
)
const books = [...rulebooks, ...yardsticks]

describe.each(books.map(book => [book.id, book] as const))('the data of %s', (_id, book) => {
  it('keeps the schema the program holds it to, and the published one', () => {
    const file = bookFiles.find(entry => (entry as Rulebook).id === book.id) as Record<string, unknown>
    expect(published(file), JSON.stringify(published.errors)).toBe(true)
    const { format, formatVersion: _version, ...rest } = file
    expect(format).toBe(RULEBOOK_FORMAT)
    expect(validateRulebook({ ...rest, owner: 'shipped' })).toEqual(book)
  })

  it('answers for every carrier, power, mode and spacing with a reason', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          1.9,
          14.2,
          27.185,
          27.78125,
          29.9999995,
          52,
          146.52,
          151.82,
          155,
          156.8,
          223,
          225.0000005,
          446.1,
          462.5625,
          467.7125,
          915,
        ),
        fc.constantFrom(0.001, 0.25, 5, 25, 25.0001, 1500),
        fc.constantFrom('FM', 'AM', 'SSB', undefined),
        fc.constantFrom(6250, 10e3, 12500, 20e3, 25e3, null),
        fc.constantFrom(2, 3, 9.4),
        (mhz, powerW, mode, channelSpacingHz, times) => {
          const carrier = {
            frequencyHz: mhz * 1e6,
            powerW,
            channelSpacingHz,
            ...(mode ? { mode: mode as 'FM' } : {}),
          }
          for (const about of ['unwanted', 'carrier-power', 'adjacent-power'] as const) {
            const answer = evaluateLimit(
              book,
              carrier,
              { frequencyHz: times * carrier.frequencyHz, harmonic: Number.isInteger(times) ? times : null },
              about,
            )
            if (answer.reason.length < 20 || (answer.kind === 'limit' && !Number.isFinite(answer.limitDbm)))
              return false
          }
          return evaluateScalar(book, 'deviation', carrier).reason.length > 20
        },
      ),
      { numRuns: 300 },
    )
  })

  it('has bands in order that do not overlap, and a name for every clause', () => {
    for (let i = 1; i < book.bands.length; i++)
      expect(book.bands[i]!.fromHz).toBeGreaterThanOrEqual(book.bands[i - 1]!.toHz)
    for (const clause of book.clauses) expect(clause.clause.length).toBeGreaterThan(5)
  })

  it('is marked as recalled wherever it is law or a standard', () => {
    if (book.standing !== 'yardstick') expect(book.clauses.every(({ recalled }) => recalled)).toBe(true)
    else expect(book.title).toMatch(/practice|yardstick/i)
  })
})

describe('a rulebook as a file', () => {
  const own = copyRulebook(rulebookById('us-amateur'), 'mine')

  it('goes out and comes back as the reviewer’s, whatever it says', () => {
    expect(readRulebookFile(writeRulebookFile(own), 'mine.json')).toEqual(own)
    expect(readRulebookFile(writeRulebookFile(rulebookById('us-frs')), 'x.json').owner).toBe('reviewer')
    expect(own).toMatchObject({ owner: 'reviewer', basedOn: 'us-amateur', title: 'US amateur, my copy' })
  })

  const broken = (change: (book: Rulebook & { clauses: LimitClause[] }) => unknown) => {
    const copy = JSON.parse(writeRulebookFile(own)) as Rulebook
    change(copy)
    return JSON.stringify(copy)
  }

  it.each([
    ['', 'is empty'],
    ['<html>', 'not JSON'],
    ['{"a":1}', 'not a rulebook'],
    ['{"format":"rigorous-meter-rulebook","formatVersion":1,"__proto__":{}}', 'not JSON'],
    [
      broken(book => {
        delete (book as Partial<Rulebook>).title
      }),
      '“title” is missing',
    ],
    [
      broken(book => {
        book.clauses[1]!.limit = { kind: 'absolute', powerW: -1 }
      }),
      'clause “97.307e-low”',
    ],
    [
      broken(book => {
        book.clauses[0]!.confidence = 'X' as 'H'
      }),
      'must be one of H, M, L',
    ],
    [
      broken(book => {
        book.clauses[0]!.limit = { kind: 'mystery' } as never
      }),
      'clause “97.307d”',
    ],
    [
      broken(book => {
        book.clauses[1]!.id = book.clauses[0]!.id
      }),
      'same id',
    ],
    [
      broken(book => {
        ;(book as unknown as Record<string, unknown>).colour = 'red'
      }),
      '“colour” is not known',
    ],
  ])('refuses %s in plain words', (text, words) => {
    try {
      readRulebookFile(text, 'x.json')
      expect.unreachable()
    } catch (error) {
      expect(error).toMatchObject({ code: 'bad-rulebook' })
      expect((error as Error).message).toContain(words)
      expect((error as Error).message).toContain('Nothing was changed.')
    }
  })

  it('a newer form is refused as such', () => {
    expect(() =>
      readRulebookFile(
        broken(book => {
          ;(book as unknown as { formatVersion: number }).formatVersion = 9
        }),
        'x.json',
      ),
    ).toThrowError(expect.objectContaining({ code: 'newer-version' }))
  })

  it('the published schema refuses what the program refuses', () => {
    const file = () => JSON.parse(writeRulebookFile(own)) as Rulebook & Record<string, unknown>
    expect(published(file())).toBe(true)
    const without = file()
    delete (without as Partial<Rulebook>).bands
    expect(published(without)).toBe(false)
    const negative = file()
    negative.clauses[1]!.limit = { kind: 'absolute', powerW: -1 }
    expect(published(negative)).toBe(false)
    expect(published({ ...file(), colour: 'red' })).toBe(false)
  })
})

describe('a limit of a kind nobody knows', () => {
  it('is refused in words, wherever it stands', () => {
    const [book] = structuredClone(rulebooks) as unknown as { clauses: { limit: unknown }[] }[]
    const nonsense = { kind: 'nonsense', powerW: 1 }
    for (const limit of [nonsense, { kind: 'strictest', of: [nonsense] }]) {
      const clauses = book!.clauses.map((clause, i) => (i === 0 ? { ...clause, limit } : clause))
      const { error } = rulebookSchema.validate({ ...book, clauses }, { convert: false })
      expect(error?.message).toContain('has a kind of limit that does not exist')
      expect(error?.details[0]?.path.slice(0, 3)).toEqual(['clauses', 0, 'limit'])
    }
  })
})
