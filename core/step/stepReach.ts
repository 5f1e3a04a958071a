import { type Reach, reachAt } from '../chain'
import type { Context } from '../context'
import type { RoleId } from '../review'
import type { Slot } from './slot'
import type { Step } from './step'

/** Whether a slot can be measured through the step's chain, and if not, why. */
export function stepReach(step: Step, slot: Slot, context: Context): Reach {
  for (const role of rolesOf(slot)) {
    const reach = reachIn(step, { slot, role }, context)
    if (!reach.covered) return reach
  }
  return COVERED
}

const COVERED: Reach = { covered: true }

/** Roles whose chain must carry the slot’s frequency. */
function rolesOf({ field, role, applied = [] }: Slot): RoleId[] {
  return [...(field.as === 'level' && role !== null ? [role] : []), ...applied.map(one => one.role)]
}

function reachIn(step: Step, { slot, role }: { slot: Slot; role: RoleId }, context: Context): Reach {
  const chain = context.chain(step.chains[role] ?? null)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (!chain || !instrument)
    return { covered: false, because: 'chain', why: 'No chain on the bench suits this station.' }
  return context.derive(chain, `reach:${slot.frequencyHz}`, () =>
    reachAt(chain, context.instrument(chain.instrumentId)!, slot.frequencyHz),
  )
}
