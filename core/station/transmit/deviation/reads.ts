import type { Context } from '../../../context'
import type { Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { RadioAs } from '../../radioAs'
import type { ReadAction } from '../../readAction'

/** What is at the microphone while a swing is read. */
const SPEAKS: Readonly<Record<string, RadioAs>> = { tone: 'keyed-with-tone', loudest: 'keyed-loudest' }

/** The swings with a normal tone and with the loudest voice, by an analyser of modulation. */
export function readsDeviation(step: Step, context: Context): ReadAction | null {
  const open = nextOpen(step, context, ({ kind }) => SPEAKS[kind.is] !== undefined)
  if (!open) return null
  const { id: slotId, frequencyHz } = open
  const asked = { kind: 'modulation-analyser', phrase: 'read-deviation', frequencyHz } as const
  return { is: 'figure', slotId, radio: SPEAKS[open.kind.is]!, role: null, ...asked }
}
