import type { Context } from '../../../context'
import type { Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { ReadAction } from '../../readAction'
import { generatorSet, turnRange } from '../generatorSet'
import { AUDIO, GENERATOR } from '../paths'
import { USUAL_STEP_DB } from './rounds'

/** Rounds of the threshold, up and down, one after the other. */
export function readsSquelch(step: Step, context: Context): ReadAction | null {
  if (step.band.mode !== 'FM') return null
  const open = nextOpen(step, context, ({ kind }) => isEdge(kind.is) && kind.setting === 'threshold')
  if (!open || !isEdge(open.kind.is) || open.field.as !== 'level' || !open.field.guard) return null
  const from = turnRange(open.field.guard, USUAL_STEP_DB)
  const { frequencyHz } = open
  return {
    ...{ is: 'edge', slotId: open.id, radio: 'squelched', role: AUDIO, edge: open.kind.is, from },
    turn: generatorSet(step, { role: GENERATOR, frequencyHz, levelDbm: from.lowestDbm }),
  }
}

function isEdge(is: string): is is 'open' | 'close' {
  return is === 'open' || is === 'close'
}
