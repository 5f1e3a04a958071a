import type { Step } from '../../../step'
import { simulatedDischarge } from '../../../virtual'
import { labelledAh } from './capacity'

/** What the simulated pack really holds of what its label says. */
const HOLDS_SHARE = 0.93
const UNLABELLED = { capacityAh: 2, voltageV: 7.4 }
/** Hours a load is chosen for. */
const HOURS = 2.5

/** A log of the simulated pack of a step’s radio, as a file would have it. */
export function simulatedPackLog({ set }: Step): string {
  const capacityAh = HOLDS_SHARE * (labelledAh(set.battery) ?? UNLABELLED.capacityAh)
  const rows = simulatedDischarge({
    capacityAh,
    nominalV: set.battery.voltageV ?? UNLABELLED.voltageV,
    loadA: capacityAh / HOURS,
    seed: set.id.length,
  })
  const lines = rows.map(
    ({ atS, voltageV, currentA }) => `${atS.toFixed(0)},${voltageV.toFixed(3)},${currentA.toFixed(4)}`,
  )
  return ['time s,battery V,load A', ...lines].join('\n')
}
