import type { Slot, Step } from '../../step'
import type { Coaching } from '../coaching'
import type { ReadAction } from '../readAction'
import { generatorSet, INTERFERER_TONE_HZ, turnRange } from './generatorSet'
import { AUDIO, GENERATOR, INTERFERER } from './paths'

/** SINAD the interferer is raised to, dB (TIA-603). */
const BACK_AT_DB = 12
/** So fine a generator is turned, dB. */
const FINE_DB = 0.1

/**
 * The wanted signal where the coach wants it, the interferer of a slot up until SINAD is back at 12 dB; null where
 * the coach cannot say, or no generator is guarded.
 * @param interferer - modulated beside the channel, a plain carrier far away (TIA-603, from memory)
 */
export function raiseInterferer(
  step: Step,
  slot: Slot | undefined,
  given: { coaching: Coaching | null; interferer: 'modulated' | 'plain' },
): ReadAction | null {
  const wantedDbm = given.coaching?.proposed.find(({ slotId }) => slotId === slot?.id)?.levelDbm
  const [wanted] = slot?.applied ?? []
  if (!slot || !wanted || wantedDbm === undefined) return null
  if (slot.field.as !== 'level' || !slot.field.guard) return null
  const from = turnRange(slot.field.guard, FINE_DB)
  const raised = { role: INTERFERER, frequencyHz: slot.frequencyHz, levelDbm: from.lowestDbm }
  const modulated = generatorSet(step, raised, INTERFERER_TONE_HZ)
  return {
    ...{ is: 'fall', slotId: slot.id, radio: 'squelch-open', role: AUDIO, from, untilDb: BACK_AT_DB },
    set: [generatorSet(step, { role: GENERATOR, frequencyHz: wanted.frequencyHz, levelDbm: wantedDbm })],
    raise: given.interferer === 'plain' ? { ...modulated, deviationHz: 0 } : modulated,
  }
}
