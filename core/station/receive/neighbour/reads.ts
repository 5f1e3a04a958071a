import type { Context } from '../../../context'
import type { Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { ReadAction } from '../../readAction'
import { generatorSet, INTERFERER_TONE_HZ, turnRange } from '../generatorSet'
import { AUDIO, GENERATOR, INTERFERER } from '../paths'
import { coachNeighbour } from './coaching'

/** SINAD the interferer is raised to, dB (TIA-603). */
const BACK_AT_DB = 12
/** So fine a generator is turned, dB. */
const FINE_DB = 0.1

/**
 * Both sides of TIA-603: the wanted signal where the coach wants it, the interferer up until SINAD is back at
 * 12 dB.
 */
export function readsNeighbour(step: Step, context: Context): ReadAction | null {
  if (step.band.mode !== 'FM') return null
  const open = nextOpen(step, context, ({ kind }) => kind.is === 'interferer' && kind.school === 'tia')
  const coaching = open && coachNeighbour(step, context)
  const wantedDbm = coaching?.proposed.find(({ slotId }) => slotId === open?.id)?.levelDbm
  const [wanted] = open?.applied ?? []
  if (!open || !wanted || wantedDbm === undefined) return null
  if (open.field.as !== 'level' || !open.field.guard) return null
  const from = turnRange(open.field.guard, FINE_DB)
  const raised = { role: INTERFERER, frequencyHz: open.frequencyHz, levelDbm: from.lowestDbm }
  return {
    ...{ is: 'fall', slotId: open.id, radio: 'squelch-open', role: AUDIO, from, untilDb: BACK_AT_DB },
    set: [generatorSet(step, { role: GENERATOR, frequencyHz: wanted.frequencyHz, levelDbm: wantedDbm })],
    raise: generatorSet(step, raised, INTERFERER_TONE_HZ),
  }
}
