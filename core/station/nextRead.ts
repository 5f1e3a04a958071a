import type { Context } from '../context'
import { INSTRUMENT_ROLE, type Slot, type Step, stepReach } from '../step'
import type { Station } from './contract'
import type { RadioAs } from './radioAs'
import type { ReadAction } from './readAction'

/** What an instrument could read next at a step; null where nothing is left, or nothing can be. */
export function nextRead(station: Station, step: Step, context: Context): ReadAction | null {
  return station.reads ? station.reads(step, context) : nextLevel(step, context)
}

/** Whether an instrument could ever read anything at a step, before and after it was read. */
export function canBeReadByInstrument(station: Station, step: Step): boolean {
  return station.reads !== undefined || step.slots.some(isPlainLevel)
}

/** A level of the radio: not one a generator is set to, not one that is only wished. */
function isPlainLevel({ field, optional }: Slot): boolean {
  return field.as === 'level' && !field.guard && !optional
}

function nextLevel(step: Step, context: Context): ReadAction | null {
  if (step.work !== 'transmits') return null
  const standing = context.readingsOf(step)
  const open = step.slots.find(
    slot => isPlainLevel(slot) && !standing.has(slot.id) && stepReach(step, slot, context).covered,
  )
  if (!open) return null
  return levelOf(open, 'keyed')
}

/** Reading the level of a slot, as soon as it may be. */
export function levelOf({ id: slotId, frequencyHz, role }: Slot, radio: RadioAs): ReadAction {
  return { is: 'level', slotId, radio, role: role ?? INSTRUMENT_ROLE, frequencyHz, atS: null }
}

/** The next of a row of slots nothing was read in yet. */
export function nextOpen(step: Step, context: Context, isOf: (slot: Slot) => boolean): Slot | undefined {
  const standing = context.readingsOf(step)
  return step.slots.find(slot => isOf(slot) && !standing.has(slot.id))
}
