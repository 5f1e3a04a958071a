import type { Context } from '../../../context'
import type { Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { ReadAction } from '../../readAction'

/** The carrier’s frequency, cold and warm, by a counter. */
export function readsFrequency(step: Step, context: Context): ReadAction | null {
  const open = nextOpen(
    step,
    context,
    ({ kind, optional }) => ['cold', 'warm'].includes(kind.is) && !optional,
  )
  if (!open) return null
  const { id: slotId, frequencyHz } = open
  return {
    is: 'figure',
    slotId,
    radio: 'keyed',
    role: null,
    kind: 'counter',
    phrase: 'read-frequency',
    frequencyHz,
  }
}
