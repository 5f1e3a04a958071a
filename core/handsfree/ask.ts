import { type Heard, type Phrasebook, type PhraseName, speak, type SpeechResult, type Spoken } from '../link'
import { MINUS, parseLevel } from '../quantity'
import type { SeenLevel } from '../review'
import type { GeneratorSet } from '../station'
import { seenLevel } from '../step'
import type { AnsweringInstrument } from './desk'

/** An instrument refused, answered nonsense, or is not there. */
export class ReadingFailedError extends Error {}

/** Asks an instrument for numbers. @throws ReadingFailedError */
export async function ask(
  { line, book, name }: AnsweringInstrument,
  phrase: PhraseName,
  values: Spoken = {},
): Promise<Heard> {
  const result = await speak(line, { book, name: phrase, values })
  if (result.is === 'heard') return result.heard
  throw new ReadingFailedError(`${name}: ${whyNot(result)}`)
}

/** Tells an instrument something. @throws ReadingFailedError */
export async function tell(
  { line, book, name }: AnsweringInstrument,
  phrase: PhraseName,
  values: Spoken = {},
): Promise<void> {
  const result = await speak(line, { book, name: phrase, values })
  if (result.is === 'done') return
  const why = result.is === 'heard' ? `it answered ${result.heard.raw}.` : whyNot(result)
  throw new ReadingFailedError(`${name}: ${why}`)
}

/** What a generator is told, in order: frequency, modulation and level first, then its output on. */
export function generatorPhrases(
  { phrases }: Pick<Phrasebook, 'phrases'>,
  { frequencyHz, deviationHz, toneHz, levelDbm }: GeneratorSet,
): { name: PhraseName; values: Spoken }[] {
  // A book that never heard of a plain carrier still knows how to swing it by nothing.
  const isPlain = deviationHz === 0 && phrases['modulation-off'] !== undefined
  return [
    { name: 'set-frequency', values: { frequencyHz } },
    isPlain
      ? { name: 'modulation-off', values: {} }
      : { name: 'set-modulation', values: { deviationHz, toneHz } },
    { name: 'set-level', values: { levelDbm } },
    { name: 'output-on', values: {} },
  ]
}

/** Sets a generator and switches its output on. @throws ReadingFailedError */
export async function setGenerator(generator: AnsweringInstrument, set: GeneratorSet): Promise<void> {
  for (const { name, values } of generatorPhrases(generator.book, set)) await tell(generator, name, values)
}

/** A generator’s level as it is kept beside a figure. */
export function levelSet({
  levelDbm,
  frequencyHz,
}: Pick<GeneratorSet, 'levelDbm' | 'frequencyHz'>): SeenLevel {
  return seenOf(levelText(levelDbm), frequencyHz)
}

/** A level as text is read, with its last digit as resolution. @throws ReadingFailedError */
export function seenOf(text: string, frequencyHz: number): SeenLevel {
  const read = parseLevel(text, { bareUnit: 'dBm' })
  if (!read.ok) throw new ReadingFailedError(read.message)
  return seenLevel(read, { frequencyHz })
}

/** A level of a generator in words: tenths of a decibel. */
export function levelText(levelDbm: number): string {
  return `${levelDbm.toFixed(1)} dBm`.replace('-', MINUS)
}

/** Why an instrument gave no numbers, in words. */
export function whyNot(result: Exclude<SpeechResult, { is: 'heard' }>): string {
  switch (result.is) {
    case 'error':
      return `it says ${result.error.code}, ${result.error.words}.`
    case 'refused':
      return `${result.why}.`
    case 'done':
      return 'it answered nothing.'
  }
}
