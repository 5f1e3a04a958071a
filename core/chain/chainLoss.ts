import { chainPath } from './chainPath'
import { type LossAnswer, partLossAt } from './partLoss'
import type { Chain, Instrument } from './types'

/**
 * Loss from the radio's socket to the instrument at a frequency, dB: the sum over the parts. It is
 * also the offset to type on the instrument. Unknown as soon as one part's loss is.
 */
export function chainLossAt(
  chain: Chain,
  instrument: Instrument | undefined,
  frequencyHz: number,
): LossAnswer {
  let lossDb = 0
  for (const part of chainPath(chain, instrument).before) {
    const answer = partLossAt(part, frequencyHz)
    if (!answer.known) return answer
    lossDb += answer.lossDb
  }
  return { known: true, lossDb }
}
