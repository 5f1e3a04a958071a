import type { InstrumentLine } from '../../link'
import type { ScpiInstrument } from './scpiInstrument'

/** An instrument did not answer. */
export class NoAnswerError extends Error {
  constructor(line: string) {
    super(`It did not answer “${line.slice(0, 60)}”.`)
  }
}

/** A line to a simulated instrument. What it does not answer it never will: that is told at once. */
export function virtualLine(instrument: ScpiInstrument): InstrumentLine {
  return {
    send: async line => void instrument.receive(line),
    query: async line => {
      const answer = instrument.receive(line)
      if (answer === null) throw new NoAnswerError(line)
      return answer
    },
    wait: async () => undefined,
  }
}
