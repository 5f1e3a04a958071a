import { describe, expect, it } from 'vitest'
import { type InstrumentLine, phrasebooks, type Phrasebook } from '#core/link'
import {
  ask,
  generatorPhrases,
  levelSet,
  levelText,
  ReadingFailedError,
  seenOf,
  setGenerator,
  tell,
  whyNot,
} from '#core/handsfree/ask'

const bookOf = (kind: Phrasebook['kind']) => phrasebooks.find(book => book.kind === kind)!

/** An instrument that answers by a table, and notes what it was sent. */
function answering(book: Phrasebook, answers: Readonly<Record<string, string>> = {}) {
  const said: string[] = []
  const line: InstrumentLine = {
    send: text => Promise.resolve(void said.push(text)),
    query(text) {
      if (!text.startsWith('SYST')) said.push(text)
      return Promise.resolve(new TextEncoder().encode(answers[text] ?? '0,"No error"'))
    },
    wait: () => Promise.resolve(),
  }
  return { said, one: { line, book, instrument: null, name: 'the box' } }
}

const SET = { role: 'generator', frequencyHz: 145.5e6, deviationHz: 1500, toneHz: 1000, levelDbm: -113.25 }

describe('a generator', () => {
  it('is set before its output goes on, its level last of all that is set', async () => {
    const { one, said } = answering(bookOf('signal-generator'))
    await setGenerator(one, SET)
    expect(said).toEqual([
      'SOURce:FREQuency:CW 145500000',
      'SOURce:FM:DEViation 1500',
      'SOURce:FM:INTernal:FREQuency 1000',
      'SOURce:FM:STATe ON',
      'SOURce:POWer:LEVel -113.25 DBM',
      'OUTPut:STATe ON',
    ])
  })

  it('gives a plain carrier by switching modulation off, where its book has words for that', () => {
    const names = (book: Pick<Phrasebook, 'phrases'>) =>
      generatorPhrases(book, { ...SET, deviationHz: 0 }).map(({ name }) => name)
    const { phrases } = bookOf('signal-generator')
    expect(names({ phrases })).toEqual(['set-frequency', 'modulation-off', 'set-level', 'output-on'])
    const { 'modulation-off': _off, ...without } = phrases
    expect(names({ phrases: without })).toEqual(['set-frequency', 'set-modulation', 'set-level', 'output-on'])
  })

  it('does not go on where it refused its level', async () => {
    const { one, said } = answering(bookOf('signal-generator'))
    const refusing: InstrumentLine = {
      ...one.line,
      query: text =>
        said.at(-1)?.startsWith('SOURce:POWer')
          ? Promise.resolve(new TextEncoder().encode('-222,"Data out of range"'))
          : one.line.query(text, 'line'),
    }
    await expect(setGenerator({ ...one, line: refusing }, SET)).rejects.toThrow(
      new ReadingFailedError('the box: it says -222, Data out of range.'),
    )
    expect(said).not.toContain('OUTPut:STATe ON')
  })

  it('is kept as the level it was set to, to a tenth of a decibel', () => {
    expect(levelText(-113.25)).toBe('−113.3 dBm')
    expect(levelText(0)).toBe('0.0 dBm')
    expect(levelText(13)).toBe('13.0 dBm')
    expect(levelSet(SET)).toMatchObject({ as: 'level', levelDbm: -113.3, frequencyHz: 145.5e6 })
  })
})

describe('what an instrument answers', () => {
  const meter = bookOf('power-meter')
  const values = { frequencyHz: 145.5e6 }

  it('is heard as numbers', async () => {
    const { one } = answering(meter, { 'MEASure:POWer:AC?': '36.98' })
    expect(await ask(one, 'read-power', values)).toMatchObject({ values: [36.98], unit: 'dBm' })
  })

  it.each([
    ['a word', 'hot', 'the box: no number.'],
    ['a figure that says “I cannot”', '9.91E37', 'the box: '],
  ])('is no figure where it is %s', async (_what, answer, words) => {
    const { one } = answering(meter, { 'MEASure:POWer:AC?': answer })
    const asked = ask(one, 'read-power', values)
    await expect(asked).rejects.toBeInstanceOf(ReadingFailedError)
    await expect(asked).rejects.toThrow(words)
  })

  it('is asked for in no words of somebody else’s', async () => {
    const { one, said } = answering(meter)
    await expect(ask(one, 'read-sinad')).rejects.toThrow('has no words for read-sinad')
    expect(said).toEqual([])
  })

  it('is a failure where something was told and nothing was to be answered', async () => {
    const { one } = answering(meter, { 'MEASure:POWer:AC?': '36.98' })
    await expect(tell(one, 'read-power', values)).rejects.toThrow('the box: it answered 36.98.')
    expect(whyNot({ is: 'done' })).toBe('it answered nothing.')
  })

  it('is a level only where it is one', () => {
    expect(seenOf('−32.5', 145.5e6)).toMatchObject({ levelDbm: -32.5, frequencyHz: 145.5e6 })
    expect(seenOf('5 W', 145.5e6).levelDbm).toBeCloseTo(10 * Math.log10(5000), 10)
    expect(() => seenOf('plenty', 145.5e6)).toThrow(ReadingFailedError)
  })
})
