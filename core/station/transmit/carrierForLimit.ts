import type { Context } from '../../context'
import { dbmFromWatts, printClaimW, wattsFromDbm } from '../../quantity'
import { isCorrected, isLevel, type Step, stepId } from '../../step'
import type { Contribution } from '../../uncertainty'
import { CARRIER_POWER_ID, CARRIER_SLOT } from './carrier-power/plan'
import { correctCarrier } from './correctCarrier'
import { LOG_MOMENTS_S, momentSlotId, POWER_OVER_TIME_ID } from './power-over-time/plan'

/** The carrier power a limit is worked out from, and how well it is known. */
export interface CarrierForLimit {
  powerW: number
  /** Least it is taken for: `powerW` where it was read, less where there is only the claim. */
  lowestW: number
  /** Empty when it is only the claim. */
  contributions: readonly Contribution[]
  from: 'carrier-power' | 'power-over-time' | 'first-line' | 'claim'
  words: string
}

/** Slot of the carrier among its harmonics. */
export const FIRST_LINE_SLOT = 'x1'

/** So much less than claimed a carrier may be that nobody has read, dB (common practice, no source). */
export const CLAIM_SHORT_DB = 3

/** A station that reads the power of a carrier, and in which of its slots, the first one first. */
interface PowerPlace {
  from: CarrierForLimit['from']
  stationId: string
  slots: readonly string[]
  words: string
}

const AT_CARRIER_POWER: PowerPlace = {
  from: 'carrier-power',
  stationId: CARRIER_POWER_ID,
  slots: [CARRIER_SLOT],
  words: 'carrier as read at the carrier power station',
}
const IN_THE_LOG: PowerPlace = {
  from: 'power-over-time',
  stationId: POWER_OVER_TIME_ID,
  slots: LOG_MOMENTS_S.map(momentSlotId),
  words: 'carrier as first read in the log of its power',
}

/**
 * Mean power of the fundamental for the limit: as read at the carrier power station for this channel and level, else
 * in the ×1 line of this step, else in the log of the power, else the claim until one of them is read. A claim is no
 * measurement: the carrier is then taken for anything from it down to 3 dB under it. null when nobody says anything.
 */
export function carrierForLimit(step: Step, context: Context): CarrierForLimit | null {
  const read =
    readAt(AT_CARRIER_POWER, step, context) ??
    firstLineCarrier(step, context) ??
    readAt(IN_THE_LOG, step, context)
  if (read) return read
  const { claim } = step
  if (claim.kind !== 'watts') return null
  return {
    powerW: claim.powerW,
    lowestW: wattsFromDbm(dbmFromWatts(claim.powerW) - CLAIM_SHORT_DB),
    contributions: [],
    from: 'claim',
    words: 'by the claim, until the carrier is read',
  }
}

/**
 * The carrier as read in the ×1 line, through the same chain as the harmonics: what both share cancels in
 * dBc.
 */
export function firstLineCarrier(step: Step, context: Context): CarrierForLimit | null {
  const first = fromReading(step, { stepId: step.id, slot: FIRST_LINE_SLOT }, context)
  return first && { ...first, from: 'first-line', words: 'carrier as read in the ×1 line' }
}

/** The power a limit is judged with: one figure, or the two it lies between. */
export function carrierPower({ from, powerW, lowestW }: CarrierForLimit) {
  return from === 'claim' ? { lowestW, highestW: powerW, why: claimOnlyWords(powerW) } : powerW
}

/** What is said where there is only a claim. */
export function claimOnlyWords(powerW: number): string {
  return (
    'A claim is no measurement: until the carrier is read, ' +
    `the limit allows for anything from the claimed ${printClaimW(powerW)} down to ${CLAIM_SHORT_DB} dB under it.`
  )
}

function readAt(place: PowerPlace, step: Step, context: Context): CarrierForLimit | null {
  const { channel, band, setting } = step
  const id = stepId(place.stationId, { band, channel, level: setting.level })
  for (const slot of place.slots) {
    const read = fromReading(step, { stepId: id, slot }, context)
    if (read) return { ...read, from: place.from, words: place.words }
  }
  return null
}

function fromReading(
  step: Step,
  at: { stepId: string; slot: string },
  context: Context,
): Pick<CarrierForLimit, 'powerW' | 'lowestW' | 'contributions'> | null {
  const reading = context.reading(step.set.id, at.stepId, at.slot)
  if (!reading || !isLevel(reading)) return null
  const found = correctCarrier(reading, step, context)
  if (!isCorrected(found) || found.isUpperBound) return null
  const powerW = wattsFromDbm(found.value)
  return { powerW, lowestW: powerW, contributions: found.budget.contributions }
}
