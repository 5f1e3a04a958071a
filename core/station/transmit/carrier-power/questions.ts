import type { Context } from '../../../context'
import { dbmFromWatts, printClaimW, printDb, printDbm, wattsFromDbm } from '../../../quantity'
import { chainIdOf, type FoundLevel, type Question, type SlotResult, type Step } from '../../../step'
import { isAbsurd } from '../absurdCarrier'

/** How near to the loss of the chain a difference must come to hint at a forgotten offset, dB. */
const LIKE_THE_LOSS_DB = 3

/** What looks wrong about a carrier: more than the meter bears, or absurd against the claim. */
export function askAboutCarrier(step: Step, carrier: SlotResult, context: Context): Question[] {
  const { slot, reading, found } = carrier
  if (!reading || !found?.path) return []
  const ask = (words: string): Question[] => [{ slotId: slot.id, words }]
  const chain = context.chain(chainIdOf(step))
  const instrument = context.instrument(reading.instrumentId ?? chain?.instrumentId ?? null)
  const { atInstrumentDbm } = found.path
  if (instrument?.kind === 'power-meter' && wattsFromDbm(atInstrumentDbm) > instrument.maxInputW)
    return ask(
      `${reading.text} would be more than ${instrument.name} bears ` +
        `(${printClaimW(instrument.maxInputW)}). A slip of the point?`,
    )
  if (step.claim.kind !== 'watts') return []
  const apartDb = found.value - dbmFromWatts(step.claim.powerW)
  if (!isAbsurd(apartDb)) return []
  const side = apartDb > 0 ? 'above' : 'below'
  return ask(
    `${printDbm(found.value)} at the socket is ${printDb(Math.abs(apartDb))} ${side} the claim. ` +
      `${hintFor(apartDb, found.path)}`,
  )
}

function hintFor(apartDb: number, { lossDb }: FoundLevel['path']): string {
  const nearLoss = lossDb > LIKE_THE_LOSS_DB && Math.abs(Math.abs(apartDb) - lossDb) < LIKE_THE_LOSS_DB
  if (!nearLoss) return 'Another power level, a pad missing from the chain, or a slip of the point?'
  const like = `That is about the loss of the chain (${printDb(lossDb)}): is the offset`
  return apartDb > 0
    ? `${like} already set on the instrument? Then say so at the bench check.`
    : `${like} given at the bench check really set on the instrument?`
}
