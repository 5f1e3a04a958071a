import { stationById, type StationContext, type Step } from '../station'

/** Bench time and key-down time still ahead, s. */
export interface TimeLeft {
  benchS: number
  keyDownS: number
  openSteps: number
}

/** Adds up the steps whose readings within reach are not all in. */
export function timeLeft(steps: readonly Step[], context: StationContext): TimeLeft {
  const left: TimeLeft = { benchS: 0, keyDownS: 0, openSteps: 0 }
  for (const step of steps) {
    if (isDone(step, context)) continue
    left.openSteps += 1
    left.benchS += step.durationS
    left.keyDownS += step.keyDownS
  }
  return left
}

/** True when every reading within reach of the step is in. */
export function isDone(step: Step, context: StationContext): boolean {
  const { progress } = stationById(step.stationId).evaluate(step, context)
  return progress.read >= progress.possible
}
