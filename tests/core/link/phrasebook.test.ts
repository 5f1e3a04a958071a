import Ajv from 'ajv'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import {
  guessAnswer,
  type InstrumentLine,
  makeSafe,
  phrasebooks,
  phrasebookSchema,
  readPhrasebookFile,
  SPOKEN_KINDS,
  speak,
  writePhrasebookFile,
} from '#core/link'

/** A line that notes what is said and answers by a table. */
function scripted(answers: Record<string, string>) {
  const said: string[] = []
  const line: InstrumentLine = {
    send: async text => {
      said.push(text)
      if (text.startsWith('BROKEN')) throw new Error('the lead is off')
    },
    query: async text => {
      said.push(text)
      return Uint8Array.from(answers[text] ?? '0,"No error"', char => char.charCodeAt(0))
    },
    wait: async ms => void said.push(`wait ${ms}`),
  }
  return { line, said }
}
const meter = phrasebooks.find(({ kind }) => kind === 'power-meter')!
const generator = phrasebooks.find(({ kind }) => kind === 'signal-generator')!

describe('the shipped phrasebooks', () => {
  it('are one for each kind, pass their own schema, and name no maker', () => {
    expect(phrasebooks.map(({ kind }) => kind)).toEqual([...SPOKEN_KINDS])
    for (const book of phrasebooks) {
      expect(phrasebookSchema.validate(book, { convert: false }).error).toBeUndefined()
      expect(book.title).toMatch(/^Plain SCPI/)
    }
  })

  it('go into a file and come back the same', () => {
    for (const book of phrasebooks)
      expect(readPhrasebookFile(writePhrasebookFile(book), 'p.json')).toEqual(book)
  })

  it('leave a generator off and at its lowest level', () => {
    expect(generator.safe.join(' ')).toContain('OUTPut:STATe OFF')
  })
})

describe('a phrasebook file', () => {
  const text = writePhrasebookFile(meter)
  it.each([
    ['', 'it is empty'],
    ['[]', 'not a phrasebook'],
    [text.replace('"formatVersion": 1', '"formatVersion": 2'), 'newer version'],
    [text.replace('{frequencyHz}', '{carrier}'), 'it is wrong at phrases'],
    [text.replace('*IDN?', '*IDN?\\nOUTP ON'), 'it is wrong at identify'],
    [text.replace('"scale": 1', '"scale": 0'), 'it is wrong at phrases'],
    [text.replace('"power-meter"', '"teapot"'), 'it is wrong at kind'],
  ])('is refused in words (%#)', (file, words) => {
    expect(() => readPhrasebookFile(file, 'p.json')).toThrow(words)
  })
})

describe('speaking', () => {
  it('fills values in, reads the number, and asks for errors', async () => {
    const { line, said } = scripted({ 'MEASure:POWer:AC?': '-12.98\n' })
    const result = await speak(line, { book: meter, name: 'read-power', values: { frequencyHz: 146.52e6 } })
    expect(result).toEqual({ is: 'heard', heard: { values: [-12.98], unit: 'dBm', raw: '-12.98' } })
    expect(said).toEqual(['SENSe:FREQuency 146520000', 'MEASure:POWer:AC?', 'SYSTem:ERRor?'])
  })

  it('says what the instrument complained of rather than its figure', async () => {
    const { line } = scripted({ 'MEASure:POWer:AC?': '99\n', 'SYSTem:ERRor?': '-222,"Data out of range"' })
    const result = await speak(line, { book: meter, name: 'read-power', values: { frequencyHz: 1e6 } })
    expect(result).toEqual({ is: 'error', error: { code: -222, words: 'Data out of range' } })
  })

  it('sends nothing that lacks a value, and nothing it has no words for', async () => {
    const { line, said } = scripted({})
    expect(await speak(line, { book: meter, name: 'read-power' })).toMatchObject({ is: 'refused' })
    expect(await speak(line, { book: meter, name: 'output-on' })).toMatchObject({ is: 'refused' })
    expect(
      await speak(line, { book: meter, name: 'read-power', values: { frequencyHz: Number.NaN } }),
    ).toMatchObject({
      is: 'refused',
    })
    expect(said).toEqual([])
  })

  it('scales, and picks one of several numbers', async () => {
    const book = {
      ...meter,
      phrases: {
        'read-power': {
          send: ['READ?'],
          waitMs: 50,
          answer: { form: 'numbers' as const, unit: 'W' as const, scale: 1e-3, pick: 1, packed: null },
        },
      },
    }
    const { line, said } = scripted({ 'READ?': '1,250,3\n' })
    expect(await speak(line, { book, name: 'read-power' })).toMatchObject({
      heard: { values: [0.25], unit: 'W' },
    })
    expect(said[0]).toBe('wait 50')
  })

  it('reads a block of floats, most significant byte first', async () => {
    const data = new DataView(new ArrayBuffer(8))
    data.setFloat32(0, -31.5)
    data.setFloat32(4, -80.25)
    const packed = Uint8Array.from(
      [...'#18'].map(char => char.charCodeAt(0)).concat([...new Uint8Array(data.buffer)]),
    )
    const line: InstrumentLine = {
      ...scripted({}).line,
      query: async text => (text === 'TRACE?' ? packed : Uint8Array.from('0', char => char.charCodeAt(0))),
    }
    const answer = {
      form: 'block' as const,
      unit: 'dBm' as const,
      scale: 1,
      pick: null,
      packed: 'float32' as const,
    }
    const book = { ...meter, phrases: { 'read-trace': { send: ['TRACE?'], waitMs: 0, answer } } }
    expect(await speak(line, { book, name: 'read-trace' })).toMatchObject({
      heard: { values: [-31.5, -80.25] },
    })
  })

  it('makes safe with every line, whatever fails', async () => {
    const { line, said } = scripted({})
    const failed = await makeSafe(line, { ...generator, safe: ['BROKEN', 'OUTPut:STATe OFF'] })
    expect(said).toEqual(['BROKEN', 'OUTPut:STATe OFF'])
    expect(failed).toEqual(['BROKEN: the lead is off'])
  })
})

describe('the published schema', () => {
  const published = new Ajv({ strict: true, allowUnionTypes: true }).compile(
    JSON.parse(readFileSync('public/schema/phrasebook-1.schema.json', 'utf8')) as object,
  )
  const file = (book = meter) => JSON.parse(writePhrasebookFile(book)) as Record<string, unknown>
  const phrase = { send: ['A?'], answer: null, waitMs: 0 }

  it('takes every shipped phrasebook', () => {
    for (const book of phrasebooks) expect(published(file(book)), JSON.stringify(published.errors)).toBe(true)
  })

  it.each([
    ['another kind', { kind: 'teapot' }],
    ['a line end of its own', { lineEnd: '\r' }],
    ['a line with a line end', { identify: '*IDN?\nOUTP ON' }],
    ['a place nobody knows', { begin: ['FREQ {carrier}'] }],
    ['an empty line', { begin: [''] }],
    ['too many lines', { safe: Array.from({ length: 21 }, () => 'A') }],
    ['a phrase nobody knows', { phrases: { dance: phrase } }],
    ['a scale of nought', { phrases: { 'read-power': { ...phrase, answer: { ...number(), scale: 0 } } } }],
    ['a wait of a day', { phrases: { 'read-power': { ...phrase, waitMs: 86_400_000 } } }],
    ['a field more', { colour: 'blue' }],
  ])('refuses %s, as the program does', (_what, change) => {
    const changed = { ...file(), ...change }
    expect(published(changed)).toBe(false)
    expect(() => readPhrasebookFile(JSON.stringify(changed), 'p.json')).toThrow()
  })

  it.each([
    ['braces that are no place', { begin: ['SCRipt {1,2}', 'A } B'] }],
    [
      'every place there is',
      { begin: ['{frequencyHz} {levelDbm} {centreHz} {spanHz} {bandwidthHz} {deviationHz} {toneHz}'] },
    ],
    ['no queue of errors', { nextError: '' }],
  ])('takes %s, as the program does', (_what, change) => {
    const changed = { ...file(), ...change }
    expect(published(changed), JSON.stringify(published.errors)).toBe(true)
    expect(() => readPhrasebookFile(JSON.stringify(changed), 'p.json')).not.toThrow()
  })
})

function number() {
  return { form: 'number', unit: 'dBm', scale: 1, pick: null, packed: null }
}

describe('what an answer looks like', () => {
  const bytes = (text: string) => Uint8Array.from(text, char => char.charCodeAt(0))
  const block = (values: number[], isLittle: boolean) => {
    const head = `#3${String(4 * values.length).padStart(3, '0')}`
    const all = new Uint8Array(head.length + 4 * values.length)
    all.set(bytes(head))
    const view = new DataView(all.buffer)
    for (const [i, value] of values.entries()) view.setFloat32(head.length + 4 * i, value, isLittle)
    return all
  }

  it.each([
    ['-12.5\n', 'number', 1],
    ['1,2,3\n', 'numbers', 3],
    ['GENERATOR OFF\n', null, 0],
    ['', null, 0],
  ])('%s is %s', (text, form, count) => {
    expect(guessAnswer(bytes(text))).toMatchObject({ form, count })
  })

  it('tells which way round the bytes of a block are', () => {
    const levels = [-91.25, -40.5, -87, -63.125]
    expect(guessAnswer(block(levels, true))).toMatchObject({
      form: 'block',
      packed: 'float32-little',
      count: 4,
    })
    expect(guessAnswer(block(levels, false))).toMatchObject({ form: 'block', packed: 'float32', count: 4 })
  })
})
