import { UNIT_SPACE } from '../quantity'
import type { Verdict } from './verdict'

/** What is said of a verdict, with the unit of its figure where the words end in a bare figure: `Outside by 7.0 dB`. */
export function withUnit({ words, verdict }: { words: string; verdict: Pick<Verdict, 'unit'> }): string {
  return /\d$/.test(words) ? `${words}${UNIT_SPACE}${verdict.unit}` : words
}
