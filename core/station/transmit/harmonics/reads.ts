import type { Context } from '../../../context'
import { type Slot, type Step, stepReach } from '../../../step'
import { levelOf } from '../../nextRead'
import type { ReadAction } from '../../readAction'
import { type Moment, slotAt } from './harmonicSlots'

/** The next harmonic that is open at a moment; what is there anyway is looked at with the radio unkeyed. */
export function readsHarmonicsAt(moment: Moment, step: Step, context: Context): ReadAction | null {
  const standing = context.readingsOf(step)
  const isOpen = (slot: Slot) =>
    slot.kind.is === 'harmonic' && !standing.has(slot.id) && stepReach(step, slot, context).covered
  const open = step.slots
    .filter(({ kind }) => kind.moment === 'settled')
    // The carrier is no harmonic anybody else could have put there.
    .filter(({ kind }) => moment !== 'ambient' || kind.n !== 1)
    .map(slot => slotAt(slot, moment))
    .find(isOpen)
  return open ? levelOf(open, moment === 'ambient' ? 'squelched' : 'keyed') : null
}
