import { chainLossAt } from '../../chain'
import type { CaughtInput } from '../mistake'
import { PRACTICE_HZ } from '../practiceReview'
import { trueChain } from '../practiceTruth'

/** So close to what it really loses a chain has to be known, dB. */
const CLOSE_DB = 0.7

/** Whether a chain of the review now loses what it really does: measured, corrected, or another part in its place. */
export function knowsTrueLoss({ world, context }: CaughtInput, chainId: string): string | null {
  const now = context.chain(chainId)
  const instrument = now && context.instrument(now.instrumentId)
  if (!now || !instrument) return null
  const truth = chainLossAt(trueChain(world, now), instrument, PRACTICE_HZ)
  const known = chainLossAt(now, instrument, PRACTICE_HZ)
  if (!truth.known || !known.known || Math.abs(truth.lossDb - known.lossDb) > CLOSE_DB) return null
  return `“${now.name}” is now known to lose ${known.lossDb.toFixed(1)} dB, which it does.`
}
