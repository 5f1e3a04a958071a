import type { Context } from '../../../context'
import type { Slot, Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { RadioAs } from '../../radioAs'
import type { ReadAction } from '../../readAction'

const RADIO_AS: Readonly<Record<string, RadioAs>> = { tone: 'keyed-with-tone', loudest: 'keyed-loudest' }

/** How the radio is while a swing is read; undefined for a slot it is not keyed for. */
export const radioForSwing = ({ kind }: Pick<Slot, 'kind'>): RadioAs | undefined => RADIO_AS[kind.is]

/** The swings with a normal tone and with the loudest voice, by an analyser of modulation. */
export function readsDeviation(step: Step, context: Context): ReadAction | null {
  const open = nextOpen(step, context, slot => radioForSwing(slot) !== undefined)
  const radio = open && radioForSwing(open)
  if (!radio) return null
  const { id: slotId, frequencyHz } = open
  const asked = { kind: 'modulation-analyser', phrase: 'read-deviation', frequencyHz } as const
  return { is: 'figure', slotId, radio, role: null, ...asked }
}
