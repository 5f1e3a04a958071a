export type {
  Band, BatteryLabel, Channel, ControlCheck, OtherFigure, PowerClaim, PowerLevel, RadioSet, Reading, ReadingDoubt, ReadingSource, Review, ReviewSettings, SetKind, SetRole, TraceHead, TracePoints,
} from './types'
export { REVIEW_SCHEMA_VERSION } from './types'
export { DEFAULT_CALIBRATION_AGE_DAYS, newReview, newRadioSet, newBand, newChannel, newLevel } from './newReview'
export { checkBatteryLabel, type BatteryLabelCheck } from './batteryLabel'
export { setName, setShortName, highestClaimW } from './setNames'
export { currentReadings, readingHistory, stepKey, type CurrentReadings } from './currentReadings'
export { readingSchema, reviewSchema } from './schema'
export { validateReview } from './validateReview'
export { writeReviewFile, readReviewFile, MAX_REVIEW_BYTES, type ReviewBundle } from './reviewFile'
export { migrateReview } from './migrateReview'
