import { describe, expect, it } from 'vitest'
import { parseTouchstone } from '#core/format'
import { scpiNumber } from '#core/link'
import {
  FIGURE_UNITS,
  parseFigure,
  parseFrequency,
  parseLevel,
  parseMatch,
  parsePlainNumber,
  parseRatio,
  parseReflection,
} from '#core/quantity'

/** What every object of the language answers to, and no table of units holds. */
const OWN = ['constructor', 'toString', 'valueOf', 'hasOwnProperty', '__proto__', 'isPrototypeOf']

describe.each(OWN)('a unit that is called “%s”', name => {
  it.each<[string, (text: string) => { ok: boolean }]>([
    ['level', text => parseLevel(text, { bareUnit: 'W' })],
    ['series of levels', text => parseLevel(`6; ${text}`, { bareUnit: 'dBm' })],
    ['ratio', text => parseRatio(text, { bareUnit: 'dB' })],
    ['frequency', text => parseFrequency(text)],
    ['plain number', text => parsePlainNumber(text, { min: 0, max: 10, unit: 'dB' })],
    ['reflection', text => parseReflection(text)],
    ['match', text => parseMatch(text)],
  ])('is none of a %s', (_what, read) => {
    expect(read(`5 ${name}`)).toMatchObject({ ok: false })
  })

  it.each(FIGURE_UNITS.filter(unit => unit !== 'words' && unit !== 'mark'))(
    'is none of a figure in %s',
    unit => {
      expect(parseFigure(`5 ${name}`, { unit, min: 0, max: 10 })).toMatchObject({ ok: false })
    },
  )

  it('is none of what an instrument answers, nor of a file of reflections', () => {
    expect(scpiNumber(`5 ${name}`)).toBeNull()
    expect(() => parseTouchstone(`# ${name} S MA R 50\n100 0.1 0\n`, 'a.s1p')).toThrow()
  })
})
