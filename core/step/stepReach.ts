import { type Reach, reachAt } from '../chain'
import type { Context } from '../context'
import type { Slot } from './slot'
import type { Step } from './step'

/** Whether a slot can be measured through the step's chain, and if not, why. */
export function stepReach(step: Step, slot: Slot, context: Context): Reach {
  if (slot.field.as !== 'level' || slot.role === null) return { covered: true }
  const chain = context.chain(step.chains[slot.role] ?? null)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (!chain || !instrument)
    return { covered: false, because: 'chain', why: 'No chain on the bench suits this station.' }
  return context.derive(chain, `reach:${slot.frequencyHz}`, () =>
    reachAt(chain, context.instrument(chain.instrumentId)!, slot.frequencyHz),
  )
}
