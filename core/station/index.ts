import { CoreError } from '../errors'
import { carrierPowerStation } from './carrier-power/carrierPowerStation'
import type { Station } from './contract'
import type { StationContext } from './stationContext'
import { wantedOf } from './wantedStations'
import { bandwidthStation } from './bandwidth/bandwidthStation'
import { deviationStation } from './deviation/deviationStation'
import { frequencyStation } from './frequency/frequencyStation'
import { harmonicsStation } from './harmonics/harmonicsStation'
import { offAirStation } from './off-air/offAirStation'
import { powerOverTimeStation } from './power-over-time/powerOverTimeStation'
import { stressStation } from './stress/stressStation'
import { twoToneStation } from './two-tone/twoToneStation'

export type {
  AnyLimit,
  FigureResult,
  JudgedBy,
  Offer,
  Question,
  RadioSetting,
  Slot,
  SlotResult,
  Station,
  StationAnswer,
  StationQuestion,
  Step,
  StepResult,
} from './contract'
export { createSharedWork, stationContext, type SharedWork, type StationContext } from './stationContext'
export { correctReading, isCorrected, type CorrectedReading, type NotCorrected } from './correctReading'
export { suitableChains } from './chainForStation'
export { stepReach } from './stepReach'
export { checkConditions, limitAtHarmonicDbm, strictestLimitDbm } from './stepChecks'
export { powerToExpect, stepId, stepPlaces, ASSUMED_POWER_W } from './stepBasics'
export { CARRIER_POWER_ID, CARRIER_POWER_INSTRUMENTS } from './carrier-power/planCarrierPower'
export {
  HARMONICS_ID,
  HARMONICS_INSTRUMENTS,
  HIGHEST_HARMONIC,
  harmonicSlots,
} from './harmonics/planHarmonics'
export {
  LOG_MOMENTS_S,
  momentSlot,
  POWER_OVER_TIME_ID,
  POWER_OVER_TIME_INSTRUMENTS,
  USUAL_DROOP_DB,
} from './power-over-time/powerOverTimeStation'
export { droopOf, momentOf, timeConstant, type Droop } from './power-over-time/droop'
export { efficiency } from './carrier-power/evaluateCarrierPower'
export {
  harmonicOf,
  momentOfSlot,
  MOMENT_TITLES,
  MOMENTS,
  slotAt,
  spurSlot,
  type Moment,
} from './harmonics/moments'
export { OFF_AIR_HIGHEST, OFF_AIR_ID, offAirDbc } from './off-air/offAirStation'
export {
  DEVIATION_ID,
  DEVIATION_INSTRUMENTS,
  firstNullToneHz,
  fullDeviationHz,
} from './deviation/deviationStation'
export { FREQUENCY_ID, FREQUENCY_INSTRUMENTS, warmUpDriftHz } from './frequency/frequencyStation'
export { BANDWIDTH_ID, BANDWIDTH_INSTRUMENTS, NEIGHBOURS, spacingOf } from './bandwidth/bandwidthStation'
export { imdWords, TWO_TONE_EQUIPMENT, TWO_TONE_ID, TWO_TONE_INSTRUMENTS } from './two-tone/twoToneStation'
export { REPEATABILITY_DB, STRESS_ID, STRESS_INSTRUMENTS } from './stress/stressStation'
export { limitInHz } from './figure/judgeByScalar'
export { limitShort, limitSource, limitWords } from './figure/limitWords'
export { halfWidthWords, rangeWords, valueWords } from './figure/slotWords'
export { necessaryBandwidthHz } from './necessaryBandwidth'
export { isRead } from './figure/plainSlots'
export { readWith } from './figure/readWith'
export { evaluateControlCheck, type ControlCheckResult } from './controlCheck'
export { carrierFacts } from './carrierFacts'
export { carrierForLimit, type CarrierForLimit } from './harmonics/carrierForLimit'

const all = [
  carrierPowerStation,
  powerOverTimeStation,
  harmonicsStation,
  offAirStation,
  deviationStation,
  frequencyStation,
  bandwidthStation,
  twoToneStation,
  stressStation,
] as const

/** Every station, in the order of work. */
export const stations: readonly Station[] = all

export type StationId = (typeof all)[number]['id']

/** The stations a review goes through, in the order of work. */
export function wantedStations(context: StationContext): Station[] {
  return context.once('wanted-stations', () => wantedOf(stations, context.review))
}

/**
 * A station by its id.
 * @throws CoreError `unknown-id`.
 */
export function stationById(id: string): Station {
  const found = stations.find(station => station.id === id)
  if (!found)
    throw new CoreError('unknown-id', `There is no station “${id}” in this version.`, { kind: 'station', id })
  return found
}
