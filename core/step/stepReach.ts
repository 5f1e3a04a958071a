import { entryOf } from '../cache'
import { type Chain, type Instrument, type Reach, reachAt } from '../chain'
import type { Context } from '../context'
import type { RoleId } from '../review'
import type { Slot } from './slot'
import type { Step } from './step'

/** Whether a slot can be measured through the step's chain, and if not, why. */
export function stepReach(step: Step, slot: Slot, context: Context): Reach {
  const { field, role, applied } = slot
  const own = field.as === 'level' && role !== null ? reachIn(step, slot, role, context) : COVERED
  if (!applied || !own.covered) return own
  for (const one of applied) {
    const reach = reachIn(step, slot, one.role, context)
    if (!reach.covered) return reach
  }
  return own
}

const COVERED: Reach = { covered: true }

/** Where a chain reaches, each frequency looked up once. */
function reachOf(chain: Chain, instrument: Instrument): (frequencyHz: number) => Reach {
  const known = new Map<number, Reach>()
  return frequencyHz => entryOf(known, frequencyHz, () => reachAt(chain, instrument, frequencyHz))
}

/** Whether the chain of a role carries the slot’s frequency. */
function reachIn(step: Step, slot: Slot, role: RoleId, context: Context): Reach {
  const chain = context.chain(step.chains[role] ?? null)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (!chain || !instrument)
    return { covered: false, because: 'chain', why: 'No chain on the bench suits this station.' }
  return context.forGood(reachOf, chain, instrument)(slot.frequencyHz)
}
