import type { Context } from '../../../context'
import type { Slot, Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { RadioAs } from '../../radioAs'
import type { ReadAction } from '../../readAction'

/** What the radio does while a current is read. */
const DOES: Readonly<Record<string, RadioAs>> = {
  standby: 'squelched',
  audio: 'squelch-open',
  transmit: 'keyed',
}

/** Currents by state, by a supply that shows them. */
export function readsBattery(step: Step, context: Context): ReadAction | null {
  const isWanted = ({ kind, optional }: Slot) => DOES[kind.is] !== undefined && !optional
  const open = nextOpen(step, context, isWanted)
  if (!open) return null
  const { id: slotId, frequencyHz } = open
  const asked = { kind: 'supply', phrase: 'read-amperes', frequencyHz } as const
  return { is: 'figure', slotId, radio: DOES[open.kind.is]!, role: null, ...asked }
}
