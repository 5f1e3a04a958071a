import type { Context } from '../../../context'
import type { Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { ReadAction } from '../../readAction'
import { raiseInterferer } from '../raiseInterferer'
import { coachStrongSignals } from './coaching'

/** Blocking at the offsets that are asked for: a plain carrier up until SINAD is back at 12 dB. */
export function readsStrongSignals(step: Step, context: Context): ReadAction | null {
  if (step.band.mode !== 'FM') return null
  const open = nextOpen(step, context, ({ kind, optional }) => kind.is === 'block' && !optional)
  if (!open) return null
  return raiseInterferer(step, open, { coaching: coachStrongSignals(step, context), interferer: 'plain' })
}
