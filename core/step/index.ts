export type { AppliedField, FieldSpec, LevelGuard, Slot, SlotKind } from './slot'
export {
  chainIdOf,
  chainsKey,
  INSTRUMENT_ROLE,
  needsChain,
  type RadioSetting,
  type Role,
  type Roles,
  type Step,
  type StepSetting,
  type StepVariant,
} from './step'
export {
  isRead,
  slotOf,
  socketDbm,
  type AnyLimit,
  type ClaimJudgement,
  type Found,
  type Judgement,
  type Offer,
  type Question,
  type SlotResult,
  type SlotState,
  type StepResult,
} from './results'
export { stepId, stepPlaces, type StepPlace } from './stepPlaces'
export { powerToExpect, type ExpectedPower } from './expectedPower'
export { chainName, chainsForStation, suitableChains } from './chainsForStation'
export { type PlannedHere, planSteps, type StepPlan } from './planSteps'
export { fullSupply, SETTINGS } from './radioSettings'
export { ANALYSER_CAUTIONS, TRANSMIT_CAUTIONS } from './cautions'
export { placeWords, settingWords } from './settingWords'
export { parseGuardedLevel } from './guardedLevel'
export { readThrough, readWith, type ReadWith } from './readWith'
export {
  bareUnitOf,
  seenFigure,
  seenLevel,
  seenMark,
  seenTyped,
  takeReading,
  type Kept,
  type KeptFigure,
  type KeptLevel,
} from './takeReading'
export { stepReach } from './stepReach'
export { carrierFacts } from './carrierFacts'
export { chainChecks, type CheckedFor, strictestLimitDbm } from './chainChecks'
export { type ExpectedPlace, expectedPlaces, hottestPlace } from './expectedPlaces'
export { stepChecks } from './stepChecks'
export {
  correctApplied,
  correctReading,
  roughlyDbm,
  withMore,
  isCorrected,
  isLevel,
  type CorrectedThrough,
  type FoundLevel,
} from './correctReading'
export type { NotCorrected } from './wayToSocket'
export { detectionOf } from './withoutNoise'
