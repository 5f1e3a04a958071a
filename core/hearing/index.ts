export { clickScatterDb } from './blockScatter'
export { criteriaOf, figureName, type HearingCriterion, testDeviationHz } from './criteria'
export { type CurveFamily } from './curveShapes'
export { type CurvePoint, type PossibleCurve, possibleCurves, sinadAt } from './sinadCurve'
export { criterionLevel, type CriterionLevel, type NoCriterionLevel, strayPoint } from './criterionLevel'
export {
  coach,
  type CoachAdvice,
  type CoachInput,
  type LevelRange,
  settable,
  USUAL_SENSITIVITY_DBM,
} from './coach'
export { type EdgeSeen, type Located, steppedEdges } from './steppedEdges'
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
