export type {
  Band,
  BatteryLabel,
  Channel,
  ControlCheck,
  CurveHead,
  CurveKind,
  CurvePoints,
  FigureReading,
  FigureUnit,
  KeyDown,
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
  SetKind,
  SetRole,
  SkippedStep,
  StepNote,
  Taken,
  TraceHead,
  TracePoints,
} from './types'
export { CURVE_KINDS, FIGURE_UNITS, REVIEW_SCHEMA_VERSION } from './types'
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
  currentFigures,
  currentReadings,
  readingHistory,
  stepKey,
  type CurrentFigures,
  type CurrentReadings,
} from './currentReadings'
export { figureSchema, readingSchema, reviewSchema, takenSchema } from './schema'
export { validateReview } from './validateReview'
export { writeReviewFile, readReviewFile, MAX_REVIEW_BYTES, type ReviewBundle } from './reviewFile'
export { migrateReview } from './migrateReview'
