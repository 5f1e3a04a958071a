export type {
  Band,
  BatteryLabel,
  Channel,
  PowerClaim,
  PowerLevel,
  RadioSet,
  RadioWork,
  ReadyFor,
  ReceiverClaim,
  ReceiverClaimKind,
  SetKind,
  SetRole,
} from './cardTypes'
export { RECEIVER_CLAIMS } from './cardTypes'
export { SIGNAL_NATURES } from './readingTypes'
export type {
  FigureReading,
  LevelReading,
  Reading,
  ReadingDoubt,
  ReadingSource,
  RoleId,
  SeenFigure,
  SeenLevel,
  SignalNature,
  Through,
} from './readingTypes'
export {
  type ControlCheck,
  CURVE_KINDS,
  type RecordedCurve,
  type CurveHead,
  type CurveKind,
  type CurvePoints,
  type KeyDown,
  type OtherFigure,
  type PictureHead,
  type ClipHead,
  type ClipSound,
  CLIP_SOUNDS,
  MOST_CLIP_BYTES,
  MOST_CLIPS,
  type SkippedStep,
  type StepNote,
  type TraceHead,
  type TracePoints,
} from './stepRecordTypes'
export type {
  Publication,
  PublicationSignature,
  PublishedAttachment,
  PublishedFigure,
  PublishedVersions,
  SheetWords,
} from './publicationTypes'
export { type Review, type ReviewSettings, type StationMemo } from './types'
export { REVIEW_SCHEMA_VERSION, type ReviewBundle } from '../bundle'
export {
  DEFAULT_CALIBRATION_AGE_DAYS,
  newReview,
  newRadioSet,
  newBand,
  newChannel,
  newLevel,
} from './newReview'
export { checkBatteryLabel, readBatteryLabel, type BatteryLabelCheck } from './batteryLabel'
export { nameBeside, setName, setShortName, highestClaimW, fewNames } from './setNames'
export { type Model, modelsOf } from './models'
export {
  standingReadings,
  stepHistory,
  type TakenReading,
  stepKey,
  type StepReadings,
} from './currentReadings'
export { byRadio, type ByRadio } from './byRadio'
export { checkChange, type ChangedPath } from './checkChange'
export {
  readingsThrough,
  removeBand,
  removeChain,
  removeChannel,
  removeLevel,
  removeSet,
  removeSteps,
} from './removals'
export { reviewSchema } from './schema'
export { chain as chainSchema, instrument as instrumentSchema } from './schema/bench'
export { readingSchema } from './schema/readings'
export { type LeftOut, leftOutWords, type Salvaged, salvageReview } from './salvageReview'
export { reviewParts } from './reviewParts'
export { validateReview } from './validateReview'
export { missingIn, type ReadReview, readReviewFile, salvageReviewFile, writeReviewFile } from './reviewFile'
export { migrateReview } from './migrateReview'
export { claimText, readClaim } from './readClaim'
export { readReceiverClaim, type TypedClaim, usualClaimUnit } from './readReceiverClaim'
