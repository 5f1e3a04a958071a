import type { Context } from '../context'
import { atOnce, type Sliced } from '../sliced'
import { stationById } from '../station'
import type { Step } from '../step'
import { expectedTimes, learnedTimesOf } from './learnedTimes'

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

/** What is done of a run, and what is left of it. */
export interface RunState {
  left: TimeLeft
  done: ReadonlySet<Step>
}

/**
 * Adds up the steps whose readings within reach are not all in, and that were not left out; times move
 * towards what was really taken.
 */
export function timeLeft(steps: readonly Step[], context: Context): TimeLeft {
  return atOnce(runState(steps, context)).left
}

/** Tells the steps of a run that are done from those that are left; in slices, step by step. */
export function* runState(steps: readonly Step[], context: Context): Sliced<RunState> {
  const learned = learnedTimesOf(context)
  const done = new Set<Step>()
  const left: TimeLeft = {
    benchS: 0,
    keyDownS: 0,
    openSteps: 0,
    plannedSteps: steps.length,
    learned: learned.size > 0,
  }
  for (const [index, step] of steps.entries()) {
    yield index / steps.length
    if (isDone(step, context)) done.add(step)
    else {
      const { benchS, keyDownS } = expectedTimes(step, learned)
      left.openSteps += 1
      left.benchS += benchS
      left.keyDownS += keyDownS
    }
  }
  return { left, done }
}

/** True when every reading within reach of the step is in, or it was left out on purpose. */
export function isDone(step: Step, context: Context): boolean {
  if (context.skipReason(step) !== null) return true
  const { progress } = stationById(step.stationId).evaluate(step, context)
  return progress.read >= progress.possible
}
