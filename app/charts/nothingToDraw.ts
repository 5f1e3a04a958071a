import { isRead, type StepResult } from '#core/step'

/** What stands in place of a station’s drawing while there is nothing to draw; empty once there is. */
export function nothingToDraw(result: StepResult, points: unknown): string {
  return points || result.slots.some(isRead)
    ? ''
    : 'Nothing to draw yet: it grows with what is typed or brought in below.'
}
