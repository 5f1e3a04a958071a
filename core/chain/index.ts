export type {
  AcVoltmeter,
  AntennaAnalyser,
  AudioMeter,
  Calibration,
  CalibrationPoint,
  Chain,
  ChainJoint,
  CoaxLoss,
  Instrument,
  LossPoint,
  LossUncertainty,
  MeterSensor,
  Part,
  PartKind,
  PartLoss,
  PhaseNoisePoint,
  PowerMeter,
  ReadingInstrument,
  Receiver,
  SignalGenerator,
  SpectrumAnalyser,
} from './types'
export { METER_SENSORS } from './types'
export { coaxLossDb, partLossAt, type LossAnswer } from './partLoss'
export { chainPath, type ChainPath, isReadingInstrument } from './chainPath'
export { chainLossAt } from './chainLoss'
export { levelStairs, levelStairsFromWatts, type LevelStairs, type Stair } from './levelStairs'
export { reachAt, outOfReachInWords, harmonicList, type Reach } from './reach'
export {
  ASSUMED_RADIO_VSWR,
  ASSUMED_UNWANTED_VSWR,
  chainContributions,
  type EmissionClass,
  type EmissionPlace,
  partHalfWidthDb,
} from './chainContributions'
export { instrumentContributions, accuracyInWords, referenceInWords } from './instrumentContributions'
export { benchChecks, worstSeverity } from './benchChecks'
export type { BenchCheck, BenchCheckInput, CheckSeverity } from './checks/check'
export {
  instrumentTemplates,
  newAudioMeter,
  newChain,
  newLaboratoryGenerator,
  newPart,
  newPocketGenerator,
  newPowerMeter,
  newReceiver,
  newSpectrumAnalyser,
} from './templates'
export { joinedChain } from './joinedChain'
export { ASSUMED_REVERSE_W, couldDestroy } from './checks/generatorChecks'
export { phaseNoiseAt, ASSUMED_PHASE_NOISE_DBC, type PhaseNoise } from './phaseNoise'
export { coaxTerms } from './coaxFigures'
export { libraryPart, partLibrary, type LibraryGroup, type LibraryPart } from './partLibrary.table'
export {
  calibratedChain,
  calibrationLoss,
  daysBetween,
  pinsOf,
  standingCalibration,
  type CalibrationPins,
  type CalibrationSwap,
} from './calibrated'
export { calibrationAges, type CalibrationAge } from './calibrationAge'
export {
  averagingTimeS,
  deratedW,
  partHeat,
  HEAT_DEFAULTS,
  type Duty,
  type HeatConditions,
  type PartHeat,
} from './heat'
export { judgePadTest, type PadTest, type PadTestOutcome, type PadTestResult } from './padTest'
