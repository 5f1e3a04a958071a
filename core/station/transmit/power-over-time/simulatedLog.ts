import { simulatedMeterLog } from '../../../virtual'
import type { KeptLevel, Step } from '../../../step'
import { momentOf } from './droop'
import { levelsFromLog } from './fromLog'

/** Power of the simulated radio where its maker says nothing, W. */
const UNCLAIMED_W = 5

/** Moments of a step’s log, s. */
export function logMomentsOf(step: Step): number[] {
  return step.slots.flatMap(slot => momentOf(slot) ?? [])
}

/** What the simulated meter shows of a step’s radio at some moments of the log. */
export function simulatedLevels(step: Step, moments: readonly number[]): KeptLevel[] {
  const shown = simulatedMeterLog({
    claimW: step.claim.kind === 'watts' ? step.claim.powerW : UNCLAIMED_W,
    seed: step.set.id.length,
    moments,
  })
  const rows = shown.map(({ atS, powerW }) => ({ atS, text: `${powerW.toFixed(2)} W` }))
  const due = { ...step, slots: step.slots.filter(slot => moments.includes(momentOf(slot) ?? -1)) }
  return levelsFromLog(
    due,
    { rows },
    {
      bareUnit: 'W',
      source: { kind: 'link', instrument: 'simulated meter' },
    },
  )
}
