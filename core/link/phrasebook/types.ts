import type { AnswerForm } from '../scpi/answer'

/** What an instrument can be asked or told, whatever its dialect: the words stations know. */
export const PHRASE_NAMES = [
  'read-power',
  'read-level-at',
  'read-trace',
  'set-frequency',
  'set-level',
  'set-modulation',
  'modulation-off',
  'output-on',
  'output-off',
  'read-sinad',
  'read-volts',
  'read-amperes',
  'read-frequency',
  'read-deviation',
  'read-vswr',
] as const
/** What an instrument can be asked or told. */
export type PhraseName = (typeof PHRASE_NAMES)[number]

/** Kinds of instruments a phrasebook may be for. */
export const SPOKEN_KINDS = [
  'power-meter',
  'spectrum-analyser',
  'signal-generator',
  'audio-analyser',
  'supply',
  'counter',
  'antenna-analyser',
  'modulation-analyser',
] as const
/** A kind of instrument that can be spoken to. */
export type SpokenKind = (typeof SPOKEN_KINDS)[number]

/** A kind in words. */
export function kindWords(kind: SpokenKind): string {
  return kind.replaceAll('-', ' ')
}

/** Values that may stand in what is sent: `{frequencyHz}`. */
export const PLACES = [
  'frequencyHz',
  'levelDbm',
  'centreHz',
  'spanHz',
  'bandwidthHz',
  'deviationHz',
  'toneHz',
  'points',
] as const
/** A value that may stand in what is sent. */
export type Place = (typeof PLACES)[number]

/** How one thing is said, and how the answer reads. */
export interface Phrase {
  /** Lines, in order; the answer belongs to the last. */
  send: string[]
  /** null: nothing is answered. */
  answer: PhraseAnswer | null
  /** How long to wait before the last line is sent, ms. */
  waitMs: number
}

/** How an answer reads. */
export interface PhraseAnswer {
  form: Exclude<AnswerForm, 'text'>
  /** Unit of its numbers. */
  unit: 'dBm' | 'W' | 'V' | 'A' | 'Hz' | 'dB' | 'VSWR'
  /** What they are multiplied with to be in that unit. */
  scale: number
  /** Of several numbers the so-manieth, from nought; null: all of them. */
  pick: number | null
  /** How the numbers of a block are packed; null where there is none. */
  packed: 'float32' | 'float32-little' | null
}

/** How an instrument is spoken to: data, so that a reviewer can teach the application their own. */
export interface Phrasebook {
  id: string
  title: string
  kind: SpokenKind
  note: string
  /** What ends a line. */
  lineEnd: '\n' | '\r\n'
  /** Sent once, before anything else. */
  begin: string[]
  /** What makes it safe: sent at the end, and on every failure. */
  safe: string[]
  /** How its name is asked for. */
  identify: string
  /** How its next error is asked for; empty where it has no queue. */
  nextError: string
  phrases: Partial<Record<PhraseName, Phrase>>
}
