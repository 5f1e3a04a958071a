export {
  STATION_GROUPS,
  type Remark,
  type Station,
  type StationGroup,
  type StationQuestion,
} from './contract'
export { type RecordedStep, type RecordingNeeds, type RecordingUse } from './recordingUse'
export { type Coaching, type ProposedLevel } from './coaching'
export { checkMemos } from './checkMemos'
export { stationPlots } from './stationPlots'
export { type StationHelp } from './help'
export { wiringDrawing } from './wiring'
export { AUDIO_ID, RESPONSE_HZ } from './receive/audio/plan'
export { keptVolts, likelySlot, type RecordedVolts, voltsOf } from './receive/audio/fromRecording'
export { deEmphasisDb } from './receive/audio/deEmphasis'
export { AUDIO, GENERATOR, INTERFERER } from './receive/paths'
export {
  DE_EMPHASES_US,
  hearingWeighting,
  SENSITIVITY_ID,
  type SensitivityMemo,
} from './receive/sensitivity/plan'
export { hearingOf, type Hearing, type ReadPoint } from './receive/sensitivity/points'
export { levelWords } from './receive/sensitivity/evaluate'
export { BY_EAR_ID, type BlindChoice, type BlindRound, byEarMemo, MOST_ROUNDS } from './receive/by-ear/memo'
export { clipsOf } from './receive/by-ear/evaluate'
export { type HeardSignal, MOST_SIGNALS, REACH_ID, type ReachMemo, reachMemo } from './receive/reach/memo'
export { SQUELCH_ID, SQUELCH_SETTINGS, type SquelchSetting } from './receive/squelch/plan'
export { roundsOf, stepOf as squelchStepOf, type Round } from './receive/squelch/rounds'
export { NEIGHBOUR_ID, type School, SCHOOLS, type Side, SIDES } from './receive/neighbour/plan'
export { rejectionsOf, type SideRejection } from './receive/neighbour/rejection'
export { ownErrorHz } from './receive/neighbour/evaluate'
export { STRONG_ID, strongMemo, type StrongMemo } from './receive/strong-signals/memo'
export { SURVIVAL_DBM } from './receive/strong-signals/plan'
export { blockingRatios, type StrongRatio } from './receive/strong-signals/blocking'
export { type Survival, survivalOf } from './receive/strong-signals/survival'
export { twelveDecibelLevel } from './receive/twelveDecibelLevel'
export { stationById, stations, wantedStations } from './stations'
export { CARRIER_POWER_ID, CARRIER_SLOT } from './transmit/carrier-power/plan'
export { efficiency } from './transmit/carrier-power/evaluate'
export { carrierForLimit, type CarrierForLimit } from './transmit/carrierForLimit'
export { HARMONICS_ID } from './transmit/harmonics/plan'
export { harmonicsAt } from './transmit/harmonics/atMoment'
export {
  HIGHEST_HARMONIC,
  harmonicSlots,
  isFirstLine,
  MOMENT_TITLES,
  MOMENT_WORDS,
  MOMENTS,
  momentOf,
  type Moment,
} from './transmit/harmonics/harmonicSlots'
export { levelFromPeak, levelFromSpur, peakText, type TakenTrace } from './transmit/harmonics/fromTrace'
export { OFF_AIR_HIGHEST, OFF_AIR_ID, offAirGeometry } from './transmit/off-air/plan'
export { offAirDbc, offAirLines } from './transmit/off-air/evaluate'
export { LOG_MOMENTS_S, POWER_OVER_TIME_ID, USUAL_DROOP_DB } from './transmit/power-over-time/plan'
export { momentDue, type MomentDue } from './transmit/power-over-time/momentDue'
export { droopOf, takenAtS, timeConstant, type Droop } from './transmit/power-over-time/droop'
export { droopFullWords } from './transmit/power-over-time/evaluate'
export { levelsFromLog } from './transmit/power-over-time/fromLog'
export { DEVIATION_ID } from './transmit/deviation/plan'
export { radioForSwing } from './transmit/deviation/reads'
export { FREQUENCY_ID } from './transmit/frequency/plan'
export { warmUpDriftHz } from './transmit/frequency/evaluate'
export { BANDWIDTH_ID, OCCUPIED_SLOT } from './transmit/bandwidth/plan'
export { TWO_TONE_ID } from './transmit/two-tone/plan'
export { TWO_TONE_EQUIPMENT } from './transmit/two-tone/equipment'
export { imdWords, TWO_SCHOOLS } from './transmit/two-tone/evaluate'
export { type Antenna, ANTENNA_ID, type AntennaKind, antennasOf, MOST_ANTENNAS } from './whole/antenna/memo'
export { antennaAt, USUAL_VSWR } from './whole/antenna/evaluate'
export { type ChannelMatch, matchesOf } from './whole/antenna/match'
export { figuresFromSweep, sweepCurve, vswrOfSweep } from './whole/antenna/fromSweep'
export { simulatedTouchstone } from './whole/antenna/simulatedSweep'
export { touchstoneOf } from './whole/antenna/toTouchstone'
export { ammeterOf, BATTERY_ID, type BatteryMemo, batteryMemo } from './whole/battery/memo'
export { capacityFromLog, dischargeCurve } from './whole/battery/fromLog'
export { chargeShares } from './whole/battery/shares'
export { simulatedPackLog } from './whole/battery/simulatedPack'
export { DISPLAY_ID } from './whole/display/plan'
export { sNineDbm } from './whole/display/evaluate'
export { FIRMWARE_ID } from './whole/firmware/plan'
export { type RangePart, whoMayUse } from './whole/firmware/whoMay'
export { INSIDE_ID, insideMemo, type InsideMemo } from './whole/inside/memo'
export { insideTargets, type InsideTarget } from './whole/inside/targets'
export { LABELS_ID } from './whole/labels/plan'
export { STRESS_ID, stressConsent, type StressConsent } from './whole/stress/plan'
export { powerChange, type PowerChange } from './whole/stress/evaluate'
export { handsFor, type RadioAs } from './radioAs'
export { generatorsOf, type GeneratorSet, type ReadAction } from './readAction'
export { generatorSet } from './receive/generatorSet'
export { canBeReadByInstrument, nextRead } from './nextRead'
export { momentOf as logMomentOf } from './transmit/power-over-time/droop'
export { readsHarmonicsAt } from './transmit/harmonics/reads'
