import type { Context } from '../../../context'
import { INSTRUMENT_ROLE, type Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { ReadAction } from '../../readAction'
import { momentOf } from './droop'

/** Power at each moment of the log, counted from the key-down. */
export function readsPowerOverTime(step: Step, context: Context): ReadAction | null {
  const open = nextOpen(step, context, slot => momentOf(slot) !== null)
  if (!open) return null
  const { id: slotId, frequencyHz } = open
  return { is: 'level', slotId, radio: 'keyed', role: INSTRUMENT_ROLE, frequencyHz, atS: momentOf(open) }
}
