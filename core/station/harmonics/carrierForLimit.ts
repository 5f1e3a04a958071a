import { wattsFromDbm } from '../../quantity'
import type { Contribution } from '../../uncertainty'
import type { Step } from '../contract'
import { correctReading, type CorrectedReading, isCorrected, type NotCorrected } from '../correctReading'
import { CARRIER_POWER_ID } from '../carrier-power/planCarrierPower'
import type { StationContext } from '../stationContext'
import { stepId } from '../stepBasics'

/** The carrier power a limit is worked out from, and how well it is known. */
export interface CarrierForLimit {
  powerW: number
  /** Empty when it is only the claim: nobody knows how far off that is. */
  contributions: readonly Contribution[]
  from: 'carrier-power' | 'first-line' | 'claim'
  words: string
}

/**
 * Mean power of the fundamental for the limit: as read at the carrier power station, else the ×1 line
 * of this step, else the claim until one of them is read. null when nobody says anything.
 */
export function carrierForLimit(step: Step, context: StationContext): CarrierForLimit | null {
  const metered = fromReading(step, context, stepId(CARRIER_POWER_ID, step), 'carrier')
  if (metered)
    return { ...metered, from: 'carrier-power', words: 'carrier as read at the carrier power station' }
  const first = firstLineCarrier(step, context)
  if (first) return first
  if (step.claim.kind === 'watts')
    return {
      powerW: step.claim.powerW,
      contributions: [],
      from: 'claim',
      words: 'by the claim, until the carrier is read',
    }
  return null
}

/**
 * The carrier as read at the carrier power station: the very same answer as long as nothing behind it
 * changes.
 */
export function meteredCarrier(step: Step, context: StationContext): CorrectedReading | NotCorrected | null {
  const reading = context.reading(step.set.id, stepId(CARRIER_POWER_ID, step), 'carrier')
  return reading ? correctReading(reading, context) : null
}

/**
 * The carrier as read in the ×1 line, through the same chain as the harmonics: what both share cancels in
 * dBc.
 */
export function firstLineCarrier(step: Step, context: StationContext): CarrierForLimit | null {
  const first = fromReading(step, context, step.id, 'x1')
  return first && { ...first, from: 'first-line', words: 'carrier as read in the ×1 line' }
}

function fromReading(
  step: Step,
  context: StationContext,
  stepIdOfReading: string,
  slot: string,
): Pick<CarrierForLimit, 'powerW' | 'contributions'> | null {
  const reading = context.reading(step.set.id, stepIdOfReading, slot)
  const corrected = reading && correctReading(reading, context)
  if (!corrected || !isCorrected(corrected) || corrected.isUpperBound) return null
  return { powerW: wattsFromDbm(corrected.levelDbm), contributions: corrected.budget.contributions }
}
