import { heardIn, type Phrasebook, type PhraseName, readAnswer, type Spoken, spokenLines } from '../../link'
import { NoAnswerError } from './line'
import type { ScpiInstrument } from './scpiInstrument'

/** A thing to say to an instrument, in the words of a phrasebook. */
export interface SaidNow {
  book: Phrasebook
  name: PhraseName
  values?: Spoken
}

/**
 * Says one thing to a simulated instrument and has its numbers at once: nobody waits for what is not there.
 * @returns the numbers in the unit of the phrase; none where nothing is answered.
 * @throws NoAnswerError where it does not answer as its phrasebook says
 */
export function askNow(instrument: ScpiInstrument, said: SaidNow): number[] {
  const spoken = spokenLines(said)
  if (spoken.is === 'refused') throw new NoAnswerError(said.name)
  const { lines, phrase } = spoken
  const last = lines.pop()!
  for (const line of lines) instrument.receive(line)
  const answer = instrument.receive(last)
  if (phrase.answer === null) return []
  if (!answer) throw new NoAnswerError(last)
  const heard = heardIn(readAnswer(answer, phrase.answer.form), phrase.answer)
  if (heard.is !== 'heard') throw new NoAnswerError(last)
  return heard.heard.values
}
