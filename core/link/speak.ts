import type { Phrase, Phrasebook, PhraseAnswer, PhraseName, Place } from './phrasebook/types'
import { type Answer, readAnswer } from './scpi/answer'
import { type ScpiError, scpiError } from './scpi/errors'

/** A line to an instrument, whoever holds it: a server, a port of the page, an instrument that is simulated. */
export interface InstrumentLine {
  /** Sends a line; its end is put on by whoever holds it. */
  send: (line: string) => Promise<void>
  /** Sends several lines in one go, where whoever holds the line can: one way to it instead of many. */
  sendAll?: (lines: readonly string[]) => Promise<void>
  /** Sends a line and waits for the answer. */
  query: (line: string, form: 'line' | 'block') => Promise<Uint8Array>
  /** Waits, without keeping anybody from working. */
  wait: (ms: number) => Promise<void>
}

/** Numbers that stand in what is sent. */
export type Spoken = Partial<Record<Place, number>>

/** What an instrument answered: numbers in the unit of the phrase, and just what came. */
export interface Heard {
  values: number[]
  unit: PhraseAnswer['unit']
  raw: string
}

/** What speaking to an instrument came to. */
export type SpeechResult =
  | { is: 'done' }
  | { is: 'heard'; heard: Heard }
  | { is: 'refused'; why: string; raw: string }
  | { is: 'error'; error: ScpiError }

/** Errors an instrument is asked for in a row, so that its queue is empty again. */
const MOST_ERRORS = 32

/** Says one thing to an instrument in the words of its phrasebook, and reads what it answers. */
export async function speak(
  line: InstrumentLine,
  { book, name, values = {} }: { book: Phrasebook; name: PhraseName; values?: Spoken },
): Promise<SpeechResult> {
  const said = spokenLines({ book, name, values })
  if (said.is === 'refused') return { ...said, raw: '' }
  const { phrase, lines } = said
  const last = lines.pop()!
  await sendLines(line, lines)
  if (phrase.waitMs > 0) await line.wait(phrase.waitMs)
  if (phrase.answer === null) {
    await line.send(last)
    const error = await firstError(line, book)
    return error ? { is: 'error', error } : { is: 'done' }
  }
  const { form } = phrase.answer
  let bytes: Uint8Array
  try {
    bytes = await line.query(last, form === 'block' ? 'block' : 'line')
  } catch (cause) {
    // An instrument that refuses a question answers nothing: its queue says why.
    const why = await firstError(line, book).catch(() => null)
    if (why) return { is: 'error', error: why }
    throw cause
  }
  const heard = heardIn(readAnswer(bytes, form), phrase.answer)
  const error = await firstError(line, book)
  return error ? { is: 'error', error } : heard
}

/** Sends lines one after the other: in one go where the line can. */
export async function sendLines(line: InstrumentLine, lines: readonly string[]): Promise<void> {
  if (line.sendAll && lines.length > 1) return line.sendAll(lines)
  for (const one of lines) await line.send(one)
}

/** What is sent to say one thing, line by line, or why it cannot be said. */
export function spokenLines({
  book,
  name,
  values = {},
}: {
  book: Phrasebook
  name: PhraseName
  values?: Spoken
}): { is: 'said'; phrase: Phrase; lines: string[] } | { is: 'refused'; why: string } {
  const phrase = book.phrases[name]
  if (!phrase) return { is: 'refused', why: `“${book.title}” has no words for ${name}` }
  const lines: string[] = []
  for (const text of phrase.send) {
    const filled = filledIn(text, values)
    if (filled === null) return { is: 'refused', why: `“${text}” wants a value nobody gave` }
    lines.push(filled)
  }
  return { is: 'said', phrase, lines }
}

/** Makes an instrument safe. Whatever goes wrong, every line is tried. @returns what failed, in words. */
export async function makeSafe(line: InstrumentLine, { safe }: Phrasebook): Promise<string[]> {
  const failed: string[] = []
  for (const one of safe)
    try {
      await line.send(one)
    } catch (cause) {
      failed.push(`${one}: ${cause instanceof Error ? cause.message : 'it did not answer'}`)
    }
  return failed
}

const PLACE = /\{(\w+)\}/g

/** A number as instruments read it: no thousands, no comma, at most twelve digits. */
function written(value: number): string {
  return String(Number(value.toPrecision(12)))
}

function filledIn(text: string, values: Spoken): string | null {
  let isWhole = true
  const filled = text.replace(PLACE, (_all, place: string) => {
    const value = values[place as Place]
    if (value === undefined || !Number.isFinite(value)) {
      isWhole = false
      return ''
    }
    return written(value)
  })
  return isWhole ? filled : null
}

/** An answer as its phrase reads it. */
export function heardIn(answer: Answer, { unit, scale, pick, packed }: PhraseAnswer): SpeechResult {
  switch (answer.is) {
    case 'unreadable':
      return { is: 'refused', why: answer.why, raw: answer.raw }
    case 'text':
      return { is: 'refused', why: 'words where a number was wanted', raw: answer.text }
    case 'number':
      return { is: 'heard', heard: { values: [answer.value * scale], unit, raw: String(answer.value) } }
    case 'numbers':
      return pickedOf(answer.values, { unit, scale, pick })
    case 'block': {
      if (packed === null || answer.bytes.length % 4 !== 0)
        return {
          is: 'refused',
          why: `a block of ${answer.bytes.length} bytes that is no row of numbers`,
          raw: '',
        }
      return pickedOf(floatsIn(answer.bytes, packed === 'float32-little'), { unit, scale, pick })
    }
  }
}

/** So many numbers of an answer are kept as they came. */
const SHOWN = 8

function pickedOf(
  values: readonly number[],
  { unit, scale, pick }: Pick<PhraseAnswer, 'unit' | 'scale' | 'pick'>,
): SpeechResult {
  const shown = values.slice(0, SHOWN).join(',')
  const raw = values.length > SHOWN ? `${shown},… (${values.length})` : shown
  if (pick === null) return { is: 'heard', heard: { values: values.map(value => value * scale), unit, raw } }
  const one = values[pick]
  return one === undefined
    ? { is: 'refused', why: `only ${values.length} numbers, and number ${pick + 1} was wanted`, raw }
    : { is: 'heard', heard: { values: [one * scale], unit, raw } }
}

function floatsIn(bytes: Uint8Array, isLittle: boolean): number[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  return Array.from({ length: bytes.length / 4 }, (_unused, i) => view.getFloat32(4 * i, isLittle))
}

/** The first of what is in the error queue, which is emptied; null where it is empty or there is none. */
async function firstError(line: InstrumentLine, { nextError }: Phrasebook): Promise<ScpiError | null> {
  if (nextError === '') return null
  let first: ScpiError | null = null
  for (let i = 0; i < MOST_ERRORS; i++) {
    const answer = readAnswer(await line.query(nextError, 'line'), 'text')
    const error = answer.is === 'text' ? scpiError(answer.text) : null
    if (error === null) break
    first ??= error
  }
  return first
}
