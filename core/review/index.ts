export type {
  Band,
  BatteryLabel,
  Channel,
  ControlCheck,
  CurveHead,
  CurveKind,
  CurvePoints,
  FigureReading,
  KeyDown,
  LevelReading,
  OtherFigure,
  PictureHead,
  PowerClaim,
  PowerLevel,
  RadioSet,
  Reading,
  ReadingDoubt,
  ReadingSource,
  Review,
  ReviewSettings,
  RoleId,
  SeenFigure,
  SeenLevel,
  SetKind,
  SetRole,
  SkippedStep,
  StationMemo,
  StepNote,
  Through,
  TraceHead,
  TracePoints,
} from './types'
export { CURVE_KINDS, REVIEW_SCHEMA_VERSION } from './types'
export {
  DEFAULT_CALIBRATION_AGE_DAYS,
  newReview,
  newRadioSet,
  newBand,
  newChannel,
  newLevel,
} from './newReview'
export { checkBatteryLabel, type BatteryLabelCheck } from './batteryLabel'
export { setName, setShortName, highestClaimW } from './setNames'
export {
  currentReadings,
  readingHistory,
  stepKey,
  type CurrentReadings,
  type StepReadings,
} from './currentReadings'
export { checkChange, type ChangedPath } from './checkChange'
export { readingsThrough, removeBand, removeChain, removeChannel, removeLevel, removeSet } from './removals'
export { readingSchema, reviewSchema } from './schema'
export { validateReview } from './validateReview'
export { writeReviewFile, readReviewFile, MAX_REVIEW_BYTES, type ReviewBundle } from './reviewFile'
export { migrateReview } from './migrateReview'
