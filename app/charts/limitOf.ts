import { limitInHz } from '#core/judging'
import type { StepResult } from '#core/step'

/** The first limit on a figure of a step, in hertz, for drawings; null where none has one. */
export function scalarLimitHz({ slots, step }: StepResult): number | null {
  const limit = slots.map(slot => slot.limit).find(one => one?.kind === 'scalar')
  return limit?.kind === 'scalar' ? limitInHz(limit.limit, step.channel.frequencyHz) : null
}
