import type { PhraseAnswer } from './phrasebook/types'
import { blockState, readAnswer } from './scpi/answer'

/** What an answer looks like to be, before anybody said. */
export interface GuessedAnswer {
  form: PhraseAnswer['form'] | null
  packed: PhraseAnswer['packed']
  /** How many numbers it holds; 0 where it is none. */
  count: number
  /** As a person may read it. */
  shown: string
}

const SHOWN = 200
const FLOAT_BYTES = 4

/** Guesses how an answer reads: a number, several, or a block of floats whose order makes sense of them. */
export function guessAnswer(bytes: Uint8Array): GuessedAnswer {
  const state = blockState(bytes)
  if (state.is === 'whole') {
    const block = bytes.subarray(state.from, state.to)
    const count = block.length / FLOAT_BYTES
    const packed = Number.isInteger(count) ? packingOf(block) : null
    return { form: 'block', packed, count: packed ? count : 0, shown: `a block of ${block.length} bytes` }
  }
  const words = readAnswer(bytes, 'text')
  const shown = words.is === 'text' ? words.text.slice(0, SHOWN) : ''
  const one = readAnswer(bytes, 'number')
  if (one.is === 'number') return { form: 'number', packed: null, count: 1, shown }
  const several = readAnswer(bytes, 'numbers')
  if (several.is === 'numbers') return { form: 'numbers', packed: null, count: several.values.length, shown }
  return { form: null, packed: null, count: 0, shown }
}

/** The byte order in which the floats of a block are the tamer: a wrong order makes them wild. */
function packingOf(block: Uint8Array): 'float32' | 'float32-little' {
  const view = new DataView(block.buffer, block.byteOffset, block.byteLength)
  const wildness = (isLittle: boolean): number => {
    let sum = 0
    for (let at = 0; at + FLOAT_BYTES <= block.length; at += FLOAT_BYTES) {
      const value = Math.abs(view.getFloat32(at, isLittle))
      sum += Number.isFinite(value) ? Math.abs(Math.log10(Math.max(value, 1e-40))) : 100
    }
    return sum
  }
  return wildness(true) < wildness(false) ? 'float32-little' : 'float32'
}
