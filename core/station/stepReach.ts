import { type Reach, reachAt } from '../chain'
import type { Slot, Step } from './contract'
import type { StationContext } from './stationContext'

/** Whether a slot can be measured through the step's chain, and if not, why. */
export function stepReach(step: Step, slot: Slot, context: StationContext): Reach {
  const chain = context.chain(step.chainId)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (!chain || !instrument)
    return { covered: false, because: 'chain', why: 'No chain on the bench suits this station.' }
  return reachAt(chain, instrument, slot.frequencyHz)
}
