import type { RadioSet } from '../../review'
import { stationById } from '../../station'
import type { Step } from '../../step'
import type { DemoTaker } from '../demoTaker'

/** What the demo reads at one station: every radio in turn. */
export type DemoTaking = (taker: DemoTaker, sets: readonly RadioSet[]) => void

/** Steps of a station for a set. */
export function stepsAt(stationId: string, set: RadioSet, { context }: DemoTaker): Step[] {
  return stationById(stationId).plan(set, context)
}

/** The first step of a station for a set. */
export function firstStepAt(stationId: string, set: RadioSet, taker: DemoTaker): Step | undefined {
  return stepsAt(stationId, set, taker)[0]
}
