import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MAX_LINE_CHARACTERS, parseTraceCsv } from '#core/format'

const parse = (text: string) => parseTraceCsv(text, 'trace.csv')
const points = (text: string) => {
  const { frequenciesHz, levelsDbm } = parse(text)
  return [...frequenciesHz].map((hz, i) => [hz, levelsDbm[i]])
}
const WANTED = [
  [146.52e6, -3.1],
  [293.04e6, -49],
]
const why = (text: string) => {
  try {
    parse(text)
  } catch (error) {
    return error as { code: string; message: string; facts: { row: number | null } }
  }
  throw new Error('was taken')
}

describe('parseTraceCsv', () => {
  it.each([
    ['comma, header, MHz', 'Frequency (MHz),Level (dBm)\n146.52,-3.1\n293.04,-49.0\n'],
    ['semicolon, decimal comma', 'Frequenz [MHz];Pegel [dBm]\n146,52;-3,1\n293,04;-49,0'],
    ['tab, Hz', 'freq_hz\tlevel_dbm\n146520000\t-3.1\n293040000\t-49'],
    ['CRLF, byte-order mark, GHz', '\uFEFFGHz,dBm\r\n0.14652,-3.1\r\n0.29304,-49\r\n'],
    ['bare CR', 'MHz,dBm\r146.52,-3.1\r293.04,-49'],
    ['no header, Hz by size', '146520000,-3.1\n293040000,-49'],
    ['no header, kHz by size', '146520,-3.1\n293040,-49'],
    ['no header, MHz by size', '146.52,-3.1\n293.04,-49'],
    ['comment lines before and between', '# made up\n! second\nMHz,dBm\n146.52,-3.1\n// note\n293.04,-49'],
    ['preamble with other columns', 'Title,Test\nSpan,960 MHz\nMHz,dBm\n146.52,-3.1\n293.04,-49'],
    ['true minus and spaces', 'MHz ; dBm\n146,52 ; −3,1\n293,04 ; −49'],
    ['a third column', 'MHz,dBm,max\n146.52,-3.1,-2\n293.04,-49,-48'],
    ['quoted cells', '"MHz","dBm"\n"146.52","-3.1"\n"293.04","-49"'],
    ['exponents', 'Hz,dBm\n1.4652e8,-3.1\n2.9304e8,-4.9e1'],
    ['empty columns at the end', 'MHz,dBm,,\n146.52,-3.1,,\n293.04,-49,,'],
    ['out of order', 'MHz,dBm\n293.04,-49\n146.52,-3.1'],
  ])('reads %s', (_name, text) => expect(points(text)).toEqual(WANTED))

  it('turns dBµV into dBm in 50 Ω', () =>
    expect(parse('MHz,dBµV\n100,106.99').levelsDbm[0]).toBeCloseTo(0, 2))

  it.each([
    ['# RBW: 100 kHz', 100e3],
    ['! Resolution Bandwidth = 0.3 MHz', 300e3],
    ['RBW,30000', 30e3],
    ['# nothing', null],
  ])('finds the resolution bandwidth in “%s”', (line, hz) => {
    expect(parse(`${line}\nMHz,dBm\n146.52,-3.1`).resolutionBandwidthHz).toBe(hz)
  })

  it('says how it understood the file', () =>
    expect(parse('146.52;-3,1\n293.04;-49').understood.join(' ')).toMatch(
      /semicolons.*taken as MHz.*taken as dBm/,
    ))

  it.each([
    ['an empty file', '', 'empty'],
    ['only white space', ' \n\n', 'empty'],
    ['a web page', '<!DOCTYPE html><html></html>', 'web page'],
    ['binary', 'ab\u0000cd', 'not a text file'],
    ['one column', '146.52\n293.04', 'one column'],
    ['words only', 'a,b\nc,d', 'no row'],
    ['a voltage column', 'MHz,V\n1,2', 'headed'],
    ['decimal commas between commas', 'MHz,dBm\n146,52,-3,1\n293,04,-49,0', 'decimal marks'],
  ])('refuses %s in words, and says that nothing was lost', (_name, text, word) => {
    const error = why(text)
    expect(error.code).toBe('bad-file')
    expect(error.message).toContain(word)
    expect(error.message).toContain('as it was')
  })

  it.each([
    ['NaN', 'MHz,dBm\n146.52,NaN'],
    ['inf', 'MHz,dBm\n146.52,-3\n1,inf'],
    ['a gap', 'MHz,dBm\n146.52,-3\n147,'],
    ['nonsense', 'MHz,dBm\n146.52,-3\nx,-3'],
  ])('names the line of a cell that is %s', (_name, text) => {
    const error = why(text)
    expect(error.facts.row === null || error.facts.row >= 2).toBe(true)
  })

  it('names line 3 of a file whose line 3 is broken', () =>
    expect(why('MHz,dBm\n146.52,-3\n147,NaN').facts.row).toBe(3))
  it('refuses a single endless line', () =>
    expect(why('1,2'.repeat(MAX_LINE_CHARACTERS)).message).toContain('characters'))
  it('refuses frequencies and levels that cannot be', () => {
    expect(why('Hz,dBm\n-5,-3').code).toBe('bad-file')
    expect(why('MHz,dBm\n100,400').code).toBe('bad-file')
  })

  it('either reads or refuses with a CoreError, whatever it gets', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), text => {
        try {
          parse(text)
        } catch (error) {
          return (error as Error).name === 'CoreError'
        }
        return true
      }),
      { numRuns: 400 },
    )
  })

  it('reads back any trace it is given', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 30_000, max: 3_000_000_000 }), fc.integer({ min: -1500, max: 300 })),
          { minLength: 2, maxLength: 40 },
        ),
        rows => {
          const sorted = [...rows].sort((a, b) => a[0] - b[0])
          const read = points(
            `Hz;dBm\n${sorted.map(([hz, tenths]) => `${hz};${(tenths / 10).toFixed(1).replace('.', ',')}`).join('\n')}`,
          )
          return read.every(([hz], i) => hz === sorted[i]![0])
        },
      ),
    )
  })
})
