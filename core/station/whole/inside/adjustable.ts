import type { Context } from '../../../context'
import type { Band, RadioSet } from '../../../review'
import type { Step } from '../../../step'
import { CARRIER_SLOT, planCarrierPower } from '../../transmit/carrier-power/plan'
import { planDeviation } from '../../transmit/deviation/plan'

/** What a preset may set, and where another station reads it. */
export interface Adjustable {
  id: string
  what: 'power' | 'deviation'
  band: Band
  /** The other station’s step and slot its readings stand in. */
  step: Step
  slotId: string
}

/** Slot of the swing that is adjusted to: the loudest. */
const LOUDEST = 'loudest'

/** What can be adjusted on a set: on each band the strongest power, and the deviation where it is FM. */
export function adjustables(set: RadioSet, context: Context): Adjustable[] {
  const powers = planCarrierPower(set, context)
  const swings = planDeviation(set, context)
  return set.bands.flatMap((band): Adjustable[] => {
    const strongest = powers
      .filter(step => step.band.id === band.id)
      .reduce<Step | null>((a, b) => (a && wattsOf(a) >= wattsOf(b) ? a : b), null)
    const swing = swings.find(step => step.band.id === band.id)
    return [
      ...(strongest
        ? [{ id: `power-${band.id}`, what: 'power' as const, band, step: strongest, slotId: CARRIER_SLOT }]
        : []),
      ...(swing
        ? [{ id: `deviation-${band.id}`, what: 'deviation' as const, band, step: swing, slotId: LOUDEST }]
        : []),
    ]
  })
}

function wattsOf({ claim }: Step): number {
  return claim.kind === 'watts' ? claim.powerW : 0
}
