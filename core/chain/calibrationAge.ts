import { daysBetween } from './calibrated'
import type { Calibration, Chain } from './types'

/** A calibration of a chain's part, and how old it is. */
export interface CalibrationAge {
  partId: string
  partName: string
  calibration: Calibration
  days: number
  stale: boolean
}

/** Ages of the calibrations a chain rests on, at an instant; stale beyond the review's chosen age in days. */
export function calibrationAges(
  chain: Chain,
  input: { calibrations: readonly Calibration[]; at: string; maxAgeDays: number },
): CalibrationAge[] {
  return chain.parts.flatMap(part => {
    const calibration = input.calibrations.find(({ id }) => id === part.calibrationId)
    if (!calibration) return []
    const days = daysBetween(calibration.at, input.at)
    return [{ partId: part.id, partName: part.name, calibration, days, stale: days > input.maxAgeDays }]
  })
}
