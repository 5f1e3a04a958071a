import type { Context } from '../../../context'
import type { Step } from '../../../step'
import { readCurrents, stateCurrents } from './currents'
import { type MeanCurrent, meanCurrent } from './life'
import { dutiesOf } from './memo'

/** Where the charge goes at each duty; empty until three currents were read. */
export function chargeShares(step: Step, context: Context): (MeanCurrent & { id: string; title: string })[] {
  const known = stateCurrents(step, readCurrents(step, context))
  if (!known) return []
  return dutiesOf(context).map(duty => ({
    ...meanCurrent(known.currents, duty),
    id: duty.id,
    title: duty.title,
  }))
}
