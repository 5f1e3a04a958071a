import { CoreError } from '../errors'
import { carrierPowerStation } from './carrier-power/carrierPowerStation'
import type { Station } from './contract'
import { harmonicsStation } from './harmonics/harmonicsStation'

export type { JudgedBy, Question, RadioSetting, Slot, SlotResult, Station, StationAnswer, StationQuestion, Step, StepResult } from './contract'
export { createSharedWork, stationContext, type SharedWork, type StationContext } from './stationContext'
export { correctReading, isCorrected, type CorrectedReading, type NotCorrected } from './correctReading'
export { suitableChains } from './chainForStation'
export { stepReach } from './stepReach'
export { checkConditions, keyDownAllowedS, limitAtHarmonicDbm, strictestLimitDbm } from './stepChecks'
export { powerToExpect, stepId, stepPlaces, ASSUMED_POWER_W } from './stepBasics'
export { CARRIER_POWER_ID, CARRIER_POWER_INSTRUMENTS } from './carrier-power/planCarrierPower'
export { HARMONICS_ID, HARMONICS_INSTRUMENTS, HIGHEST_HARMONIC, harmonicSlots } from './harmonics/planHarmonics'
export { evaluateControlCheck, type ControlCheckResult } from './controlCheck'
export { carrierFacts } from './carrierFacts'
export { carrierForLimit, type CarrierForLimit } from './harmonics/carrierForLimit'

/** Every station, in the order of work. */
export const stations: readonly Station[] = [carrierPowerStation, harmonicsStation]

export type StationId = typeof carrierPowerStation.id | typeof harmonicsStation.id

/**
 * A station by its id.
 * @throws CoreError `unknown-id`.
 */
export function stationById(id: string): Station {
  const found = stations.find(station => station.id === id)
  if (!found) throw new CoreError('unknown-id', `There is no station “${id}” in this version.`, { kind: 'station', id })
  return found
}
