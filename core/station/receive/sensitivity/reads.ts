import type { Context } from '../../../context'
import type { Slot, Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { ReadAction } from '../../readAction'
import { generatorSet } from '../generatorSet'
import { AUDIO, GENERATOR } from '../paths'
import { tunedHzAt } from '../twelveDecibelLevel'
import { coachSensitivity } from './coaching'

/** Offsets that are read without hands: both sides and the middle. */
const LOOKED_AT_HZ: readonly number[] = [-1000, 0, 1000]

/** More points than this tell nothing: something else is wrong, and a person has to look. */
const MOST_POINTS = 15

/** First whether it is on its frequency, then points where the coach wants them, until it has had enough. */
export function readsSensitivity(step: Step, context: Context): ReadAction | null {
  if (step.band.mode !== 'FM') return null
  if (step.slots.filter(({ kind }) => kind.is === 'point').length > MOST_POINTS) return null
  const coaching = coachSensitivity(step, context)
  if (!coaching) return null
  const level = (slotId: string) => coaching.proposed.find(one => one.slotId === slotId)?.levelDbm
  const offset = nextOpen(
    step,
    context,
    ({ kind }) => kind.is === 'offset' && LOOKED_AT_HZ.includes(Number(kind.hz)),
  )
  const offsetDbm = offset && level(offset.id)
  if (offset && offsetDbm !== undefined) return readAt(step, offset, offsetDbm)
  const next = coaching.next && step.slots.find(({ id }) => id === coaching.next!.slotId)
  // Where it hears best, once that is known: off its frequency every figure would be too poor.
  const frequencyHz = tunedHzAt(step, context)
  return next ? readAt(step, { ...next, frequencyHz }, coaching.next!.levelDbm) : null
}

function readAt(step: Step, { id, frequencyHz }: Slot, levelDbm: number): ReadAction {
  const set = [generatorSet(step, { role: GENERATOR, frequencyHz, levelDbm })]
  return { is: 'sinad', slotId: id, radio: 'squelch-open', role: AUDIO, set }
}
