import { scpiNumber } from './number'

/** An entry of an instrument’s error queue; null where the queue is empty. */
export interface ScpiError {
  code: number
  words: string
}

/**
 * Reads one answer of `SYSTem:ERRor?`: `-222,"Data out of range"`; nought is no error.
 * @returns null for no error; an entry of its own where the answer cannot be read.
 * @see SCPI-99, volume 1, 21.8 (from memory).
 */
export function scpiError(text: string): ScpiError | null {
  const found = /^\s*([+-]?\d+)\s*(?:,\s*"?([^"]*)"?)?\s*$/.exec(text)
  const code = found ? scpiNumber(found[1]!) : null
  if (code === null) return { code: -100, words: `an answer that is no error: ${text.slice(0, 60)}` }
  return code === 0 ? null : { code, words: found![2]?.trim() || 'no words' }
}

/** Errors by the numbers every instrument uses (SCPI-99, volume 2; from memory). */
export const SCPI_ERRORS = {
  none: { code: 0, words: 'No error' },
  command: { code: -100, words: 'Command error' },
  syntax: { code: -102, words: 'Syntax error' },
  undefinedHeader: { code: -113, words: 'Undefined header' },
  missingParameter: { code: -109, words: 'Missing parameter' },
  dataType: { code: -104, words: 'Data type error' },
  outOfRange: { code: -222, words: 'Data out of range' },
  settingsConflict: { code: -221, words: 'Settings conflict' },
  noSignal: { code: -231, words: 'Data questionable; no signal' },
  queueOverflow: { code: -350, words: 'Queue overflow' },
  interrupted: { code: -410, words: 'Query INTERRUPTED' },
} as const satisfies Record<string, ScpiError>
