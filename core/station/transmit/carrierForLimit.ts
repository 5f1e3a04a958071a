import type { Context } from '../../context'
import { wattsFromDbm } from '../../quantity'
import { correctReading, isCorrected, isLevel, type Step, stepId } from '../../step'
import type { Contribution } from '../../uncertainty'
import { CARRIER_POWER_ID, CARRIER_SLOT } from './carrier-power/plan'

/** The carrier power a limit is worked out from, and how well it is known. */
export interface CarrierForLimit {
  powerW: number
  /** Empty when it is only the claim: nobody knows how far off that is. */
  contributions: readonly Contribution[]
  from: 'carrier-power' | 'first-line' | 'claim'
  words: string
}

/** Slot of the carrier among its harmonics. */
export const FIRST_LINE_SLOT = 'x1'

/**
 * Mean power of the fundamental for the limit: as read at the carrier power station, else the ×1 line
 * of this step, else the claim until one of them is read. null when nobody says anything.
 */
export function carrierForLimit(step: Step, context: Context): CarrierForLimit | null {
  const { channel, band, claim } = step
  const place = stepId(CARRIER_POWER_ID, { band, channel, level: step.setting.level })
  const metered = fromReading(step, { stepId: place, slot: CARRIER_SLOT }, context)
  if (metered)
    return { ...metered, from: 'carrier-power', words: 'carrier as read at the carrier power station' }
  const first = firstLineCarrier(step, context)
  if (first) return first
  if (claim.kind !== 'watts') return null
  return {
    powerW: claim.powerW,
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

function fromReading(
  step: Step,
  at: { stepId: string; slot: string },
  context: Context,
): Pick<CarrierForLimit, 'powerW' | 'contributions'> | null {
  const reading = context.reading(step.set.id, at.stepId, at.slot)
  if (!reading || !isLevel(reading)) return null
  const found = correctReading(reading, context)
  if (!isCorrected(found) || found.isUpperBound) return null
  return { powerW: wattsFromDbm(found.value), contributions: found.budget.contributions }
}
