import type { Context } from '../../../context'
import { dbmFromWatts, MINUS, printDb, printDbm } from '../../../quantity'
import { type Question, type SlotResult, socketDbm, type Step } from '../../../step'
import { isAbsurd } from '../absurdCarrier'
import { isFirstLine } from './harmonicSlots'

/** What looks wrong about a reading: a level that would hurt, an absurd carrier, a line above the carrier. */
export function askAboutHarmonic(
  step: Step,
  result: SlotResult,
  first: SlotResult,
  context: Context,
): Question[] {
  const { reading, found, slot } = result
  if (!reading || !found?.path) return []
  const ask = (words: string): Question[] => [{ slotId: slot.id, words }]
  const instrument = context.instrument(reading.instrumentId)
  const { atInstrumentDbm } = found.path
  if (instrument?.kind === 'spectrum-analyser' && atInstrumentDbm > instrument.damageDbm) {
    const hint =
      atInstrumentDbm > 0 ? `Was it ${MINUS}${Math.abs(reading.seen.value)}?` : 'A slip of the sign?'
    return ask(
      `${reading.text} would be above the damage level of ${instrument.name} ` +
        `(${printDbm(instrument.damageDbm, 0)}). ${hint}`,
    )
  }
  if (isFirstLine(slot)) return askAboutCarrier(step, found.value).flatMap(ask)
  const carrierDbm = socketDbm(first)
  return carrierDbm !== null && found.value >= carrierDbm
    ? ask(
        `${slot.label} reads as strong as the carrier or stronger. Are the two lines swapped, or a sign lost?`,
      )
    : []
}

function askAboutCarrier({ claim }: Step, levelDbm: number): string[] {
  if (claim.kind !== 'watts') return []
  const apartDb = levelDbm - dbmFromWatts(claim.powerW)
  if (!isAbsurd(apartDb)) return []
  const side = apartDb > 0 ? 'above' : 'below'
  return [
    `The carrier comes to ${printDbm(levelDbm)} at the radio, ` +
      `${printDb(Math.abs(apartDb))} ${side} the claim. Is every pad in the chain, ` +
      'and the offset as given at the bench check?',
  ]
}
