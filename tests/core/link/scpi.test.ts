import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  blockState,
  fits,
  headerPattern,
  readAnswer,
  scpiCommands,
  scpiError,
  scpiNumber,
  ScpiSyntaxError,
} from '#core/link'

const bytes = (text: string) => Uint8Array.from(text, char => char.charCodeAt(0))

describe('a message (IEEE 488.2 and SCPI-99, from memory)', () => {
  it('is cut at semicolons, and goes on where the last command left off', () => {
    const commands = scpiCommands('SENS:FREQ:CENT 146.52 MHZ;SPAN 1e6;:INIT:IMM;*WAI;*OPC?')
    expect(commands.map(({ header }) => header.join(':'))).toEqual([
      ...['SENS:FREQ:CENT', 'SENS:FREQ:SPAN', 'INIT:IMM', '*WAI', '*OPC'],
    ])
    expect(commands.map(({ isQuery }) => isQuery)).toEqual([false, false, false, false, true])
    expect(commands[0]!.arguments).toEqual(['146.52 MHZ'])
  })

  it('keeps marks inside quotation marks', () => {
    const [one] = scpiCommands('DISP:TEXT "a;b,c", 5')
    expect(one!.arguments).toEqual(['"a;b,c"', '5'])
  })

  it.each(['DISP "open', '::A', '?', '5', 'A::B'])('refuses %j', text => {
    expect(() => scpiCommands(text)).toThrow(ScpiSyntaxError)
  })

  it('never breaks on rubbish: it reads it or refuses it', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), text => {
        try {
          for (const { header } of scpiCommands(text)) expect(header.length).toBeGreaterThan(0)
        } catch (error) {
          expect(error).toBeInstanceOf(ScpiSyntaxError)
        }
      }),
      { numRuns: 2000, seed: 20261128 },
    )
  })
})

describe('a header', () => {
  const pattern = headerPattern('[SOURce:]FREQuency[:CW]?')
  const ask = (text: string) => fits(scpiCommands(text)[0]!, pattern)

  it.each(['FREQ?', 'frequency?', 'SOUR:FREQ?', 'SOURCE:FREQ:CW?', 'FREQ:CW?', ':sour:freq?'])(
    'fits %s',
    text => expect(ask(text)).toBe(true),
  )
  it.each(['FREQ', 'FREQU?', 'SOU:FREQ?', 'FREQ:CW:X?', 'SOUR?', 'CW?'])('does not fit %s', text =>
    expect(ask(text)).toBe(false),
  )
})

describe('a number', () => {
  it.each([
    ['+1.25E-3', 1.25e-3],
    ['-37.02 DBM', -37.02],
    ['146.52 MHZ', 146.52e6],
    ['250 mA', 0.25],
    ['.5', 0.5],
  ])('reads %s', (text, value) => expect(scpiNumber(text)).toBeCloseTo(value, 9))

  it.each(['', 'abc', '1,5', '5 parsecs', '1e999', '9.91E37', '9.9e37'])('takes %j for none', text =>
    expect(scpiNumber(text)).toBeNull(),
  )
})

describe('an answer', () => {
  it('of numbers is read whole, or not at all', () => {
    expect(readAnswer(bytes('1,2.5,-3e1\n'), 'numbers')).toEqual({ is: 'numbers', values: [1, 2.5, -30] })
    expect(readAnswer(bytes('1,x,3\n'), 'numbers')).toMatchObject({
      is: 'unreadable',
      why: 'number 2 of 3 is none',
    })
  })

  it('of text loses its quotation marks', () => {
    expect(readAnswer(bytes('"say ""hello"""\n'), 'text')).toEqual({ is: 'text', text: 'say "hello"' })
  })

  it('is a block of a length that is said, or to the end of the message', () => {
    expect(readAnswer(bytes('#15HELLO\n'), 'block')).toEqual({ is: 'block', bytes: bytes('HELLO') })
    expect(readAnswer(bytes('#205HELLO\n'), 'block')).toEqual({ is: 'block', bytes: bytes('HELLO') })
    expect(readAnswer(bytes('#0HELLO\n'), 'block')).toEqual({ is: 'block', bytes: bytes('HELLO') })
  })

  it('is waited for until a block is whole, byte by byte', () => {
    const whole = bytes('#3005ab;de')
    for (let n = 0; n < whole.length; n++) expect(blockState(whole.subarray(0, n)).is).toBe('more')
    expect(blockState(whole)).toEqual({ is: 'whole', from: 5, to: 10 })
    expect(blockState(bytes('12.5')).is).toBe('none')
    expect(blockState(bytes('#2x5hello')).is).toBe('none')
  })

  it('never breaks on binary rubbish', () => {
    fc.assert(
      fc.property(
        fc.uint8Array({ maxLength: 300 }),
        fc.constantFrom('number', 'numbers', 'text', 'block'),
        (data, form) => {
          expect(['number', 'numbers', 'text', 'block', 'unreadable']).toContain(
            readAnswer(data, form as 'text').is,
          )
        },
      ),
      { numRuns: 2000, seed: 20261128 },
    )
  })
})

describe('the error queue', () => {
  it.each([
    ['0,"No error"', null],
    ['+0', null],
    ['-222,"Data out of range"', { code: -222, words: 'Data out of range' }],
    ['100', { code: 100, words: 'no words' }],
  ])('reads %s', (text, error) => expect(scpiError(text)).toEqual(error))

  it('takes what is no error for one: nothing is hidden', () => {
    expect(scpiError('hello')!.words).toContain('hello')
  })
})
