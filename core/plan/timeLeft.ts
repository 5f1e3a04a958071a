import type { Context } from '../context'
import { stationById } from '../station'
import type { Step } from '../step'
import { expectedTimes, learnedTimes } from './learnedTimes'

/** Bench time and key-down time still ahead, s. */
export interface TimeLeft {
  benchS: number
  keyDownS: number
  openSteps: number
  /** Steps there are, done or not. */
  plannedSteps: number
  /** At least one figure was learned from what steps really took. */
  learned: boolean
}

/**
 * Adds up the steps whose readings within reach are not all in, and that were not left out; times move
 * towards what was really taken.
 */
export function timeLeft(steps: readonly Step[], context: Context): TimeLeft {
  const learned = context.derive(context.review.readings, 'learned-times', () => learnedTimes(context.review))
  const left: TimeLeft = {
    benchS: 0,
    keyDownS: 0,
    openSteps: 0,
    plannedSteps: steps.length,
    learned: learned.size > 0,
  }
  for (const step of steps) {
    if (isDone(step, context)) continue
    const { benchS, keyDownS } = expectedTimes(step, learned)
    left.openSteps += 1
    left.benchS += benchS
    left.keyDownS += keyDownS
  }
  return left
}

/** True when every reading within reach of the step is in, or it was left out on purpose. */
export function isDone(step: Step, context: Context): boolean {
  if (context.skipReason(step) !== null) return true
  const { progress } = stationById(step.stationId).evaluate(step, context)
  return progress.read >= progress.possible
}
