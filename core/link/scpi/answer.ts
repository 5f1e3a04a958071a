import { scpiNumber } from './number'

/** What an answer is expected to be. */
export type AnswerForm = 'number' | 'numbers' | 'text' | 'block'

/** An answer that was read, or why it cannot be. */
export type Answer =
  | { is: 'number'; value: number }
  | { is: 'numbers'; values: number[] }
  | { is: 'text'; text: string }
  | { is: 'block'; bytes: Uint8Array }
  | { is: 'unreadable'; why: string; raw: string }

/** Most numbers one answer may hold. */
const MOST_NUMBERS = 200_000

/** Reads an answer. The instrument’s own word for “no number” is one that cannot be read. */
export function readAnswer(bytes: Uint8Array, form: AnswerForm): Answer {
  if (form === 'block') return blockIn(bytes)
  const text = latin(bytes).replace(/[\r\n]+$/, '')
  switch (form) {
    case 'text':
      return { is: 'text', text: unquoted(text) }
    case 'number': {
      const value = scpiNumber(text)
      return value === null ? unreadable('no number', text) : { is: 'number', value }
    }
    case 'numbers':
      return numbersIn(text)
  }
}

function numbersIn(text: string): Answer {
  const cells = text.split(/[,;\t\n]/)
  if (cells.length > MOST_NUMBERS) return unreadable(`more than ${MOST_NUMBERS} numbers`, text)
  const values: number[] = []
  for (const [i, cell] of cells.entries()) {
    const value = scpiNumber(cell)
    if (value === null) return unreadable(`number ${i + 1} of ${cells.length} is none`, text)
    values.push(value)
  }
  return { is: 'numbers', values }
}

/** How much of a block there is already, and whether it is whole. */
export type BlockState =
  { is: 'whole'; from: number; to: number } | { is: 'more' } | { is: 'none'; why: string }

/**
 * Where the bytes of a block stand: `#` and a digit that says how many digits of a length follow; `#0` for a block that
 * goes on to the end of the message.
 * @see IEEE 488.2, 8.7.9 and 8.7.10 (from memory).
 */
export function blockState(bytes: Uint8Array): BlockState {
  if (bytes.length === 0) return { is: 'more' }
  if (bytes[0] !== HASH) return { is: 'none', why: 'it does not begin with #' }
  if (bytes.length < 2) return { is: 'more' }
  const digits = bytes[1]! - ZERO
  if (digits < 0 || digits > 9) return { is: 'none', why: 'no digit follows the #' }
  if (digits === 0)
    return bytes.at(-1) === NEWLINE ? { is: 'whole', from: 2, to: bytes.length - 1 } : { is: 'more' }
  if (bytes.length < 2 + digits) return { is: 'more' }
  const written = latin(bytes.subarray(2, 2 + digits))
  if (!/^\d+$/.test(written)) return { is: 'none', why: `“${written}” is no length` }
  const to = 2 + digits + Number(written)
  return bytes.length >= to ? { is: 'whole', from: 2 + digits, to } : { is: 'more' }
}

const [HASH, ZERO, NEWLINE] = [35, 48, 10]

function blockIn(bytes: Uint8Array): Answer {
  const state = blockState(bytes)
  switch (state.is) {
    case 'whole':
      return { is: 'block', bytes: bytes.subarray(state.from, state.to) }
    case 'more':
      return unreadable('the block is cut short', latin(bytes))
    case 'none':
      return unreadable(`no block: ${state.why}`, latin(bytes))
  }
}

/** So much of an answer that cannot be read is shown. */
const SHOWN = 120

function unreadable(why: string, text: string): Answer {
  return { is: 'unreadable', why, raw: text.slice(0, SHOWN) }
}

function latin(bytes: Uint8Array): string {
  let text = ''
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192))
  return text
}

function unquoted(text: string): string {
  return /^"(?:[^"]|"")*"$/.test(text) ? text.slice(1, -1).replaceAll('""', '"') : text
}
