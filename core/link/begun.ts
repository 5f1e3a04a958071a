import type { Phrasebook } from './phrasebook/types'
import { type InstrumentLine, sendLines } from './speak'

/** A line on which a phrasebook’s first words are said before anything else, once. */
export function begun(line: InstrumentLine, { begin }: Pick<Phrasebook, 'begin'>): InstrumentLine {
  let first: Promise<void> | null = null
  const ready = (): Promise<void> => {
    first ??= sendLines(line, begin)
    return first
  }
  return {
    send: async text => {
      await ready()
      return line.send(text)
    },
    sendAll: async lines => {
      await ready()
      return sendLines(line, lines)
    },
    query: async (text, form) => {
      await ready()
      return line.query(text, form)
    },
    wait: line.wait,
  }
}
