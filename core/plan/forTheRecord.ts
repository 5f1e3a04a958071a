import type { Context } from '../context'
import { stationById } from '../station'
import type { Step } from '../step'

/** True where nothing a step reads will be judged: it is read for the record and for comparison. */
export function isForTheRecord(step: Step, context: Context): boolean {
  return !stationById(step.stationId)
    .demands(step, context)
    .some(({ figure }) => figure)
}
