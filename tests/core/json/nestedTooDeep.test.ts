import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nestedTooDeep } from '#core/json'

const looked = (text: string, depth: number, values = Infinity) => nestedTooDeep(text, { depth, values })

/** How deep and how many, by taking a parsed value apart: another way than looking at its text. */
function taken(value: unknown): { depth: number; brackets: number; commas: number } {
  if (typeof value !== 'object' || value === null) return { depth: 0, brackets: 0, commas: 0 }
  const parts = Object.values(value).map(taken)
  const sum = (what: 'brackets' | 'commas') => parts.reduce((total, part) => total + part[what], 0)
  return {
    depth: 1 + Math.max(0, ...parts.map(({ depth }) => depth)),
    brackets: 1 + sum('brackets'),
    commas: Math.max(0, parts.length - 1) + sum('commas'),
  }
}

describe('how deep a JSON text is nested', () => {
  it('is told from one deeper than is allowed on', () => {
    expect(looked('[[[1]]]', 3)).toBeNull()
    expect(looked('[[[1]]]', 2)).toBe('it is nested more than 2 deep')
    expect(looked('[[],[],[[]]]', 3)).toBeNull()
  })

  it('how many values it holds, from one more on', () => {
    expect(looked('[1,2,3]', 9, 3)).toBeNull()
    expect(looked('[1,2,3]', 9, 2)).toBe('it holds more than 2 values')
    expect(looked('{"a":{"b":1}}', 9, 1)).toBe('it holds more than 1 values')
  })

  it.each([
    ['brackets in a string', '"[[[["'],
    ['a quote in a string', '"\\"[[[["'],
    ['a backslash before the closing quote, and one more string', '["\\\\","[[[["]'],
    ['three backslashes and a quote', '"\\\\\\"[[[["'],
    ['a string that never ends', '["[[[['],
    ['a text that ends with a backslash', '["[[[[\\'],
    ['nothing', ''],
  ])('%s count for nothing', (_what, text) => {
    expect(looked(text, 1)).toBeNull()
  })

  it('a string of four backslashes is at its end, and brackets after it count', () => {
    expect(looked('["\\\\\\\\",[[1]]]', 3)).toBeNull()
    expect(looked('["\\\\\\\\",[[1]]]', 2)).toBe('it is nested more than 2 deep')
  })

  it('is the same as of the parsed value, however it is written', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 6 }), fc.constantFrom(undefined, 1, '\t'), (value, indent) => {
        const text = JSON.stringify(value, null, indent)
        const { depth, brackets, commas } = taken(JSON.parse(text))
        expect(looked(text, depth)).toBeNull()
        if (depth > 0) expect(looked(text, depth - 1)).not.toBeNull()
        expect(looked(text, 99, brackets + commas)).toBeNull()
        if (brackets > 0) expect(looked(text, 99, brackets + commas - 1)).not.toBeNull()
      }),
      { numRuns: 400, seed: 20261201 },
    )
  })
})
