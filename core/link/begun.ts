import type { Phrasebook } from './phrasebook/types'
import type { InstrumentLine } from './speak'

/** A line on which a phrasebook’s first words are said before anything else, once. */
export function begun(line: InstrumentLine, { begin }: Pick<Phrasebook, 'begin'>): InstrumentLine {
  let first: Promise<void> | null = null
  const ready = (): Promise<void> => {
    first ??= (async () => {
      for (const one of begin) await line.send(one)
    })()
    return first
  }
  return {
    send: async text => {
      await ready()
      return line.send(text)
    },
    query: async (text, form) => {
      await ready()
      return line.query(text, form)
    },
    wait: line.wait,
  }
}
