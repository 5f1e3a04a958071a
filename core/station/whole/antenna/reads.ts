import type { Context } from '../../../context'
import type { Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { ReadAction } from '../../readAction'

/** The match at every channel, by an antenna analyser; the radio is off it. */
export function readsAntenna(step: Step, context: Context): ReadAction | null {
  const open = nextOpen(step, context, ({ kind }) => kind.is === 'match')
  if (!open) return null
  const { id: slotId, frequencyHz } = open
  const asked = { kind: 'antenna-analyser', phrase: 'read-vswr', frequencyHz } as const
  return { is: 'figure', slotId, radio: 'squelched', role: null, ...asked }
}
