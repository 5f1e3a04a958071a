export { clickScatterDb } from './blockScatter'
export { criteriaOf, figureName, type HearingCriterion, MODULATION_SHARE, testDeviationHz } from './criteria'
export { type CurveFamily } from './curveShapes'
export { type CurvePoint, levelFor, type PossibleCurve, possibleCurves, sinadAt } from './sinadCurve'
export {
  criterionLevel,
  type CriterionLevel,
  FURTHEST_BEYOND_DB,
  type NoCriterionLevel,
  quantile,
  strayPoint,
} from './criterionLevel'
export {
  coach,
  type CoachAdvice,
  type CoachInput,
  type LevelRange,
  settable,
  USUAL_SENSITIVITY_DBM,
} from './coach'
export { bestFrequency, type BestFrequency, MOST_OFF_HZ } from './bestFrequency'
export { channelWidthHz, noiseCeiling, type NoiseCeiling } from './noiseCeiling'
export {
  bothReadings,
  claimLevelDbm,
  claimsFor,
  microvolts,
  RECEIVER_CLAIM_TITLES,
  receiverClaimText,
  receiverClaimWords,
} from './receiverClaims'
export { type BandPoint, curveBand } from './curveBand'
