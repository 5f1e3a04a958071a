import type { Context } from '../../../context'
import type { Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { ReadAction } from '../../readAction'
import { raiseInterferer } from '../raiseInterferer'
import { coachNeighbour } from './coaching'

/**
 * Both sides of TIA-603: the wanted signal where the coach wants it, the interferer up until SINAD is back at
 * 12 dB.
 */
export function readsNeighbour(step: Step, context: Context): ReadAction | null {
  if (step.band.mode !== 'FM') return null
  const open = nextOpen(step, context, ({ kind }) => kind.is === 'interferer' && kind.school === 'tia')
  if (!open) return null
  return raiseInterferer(step, open, { coaching: coachNeighbour(step, context), interferer: 'modulated' })
}
