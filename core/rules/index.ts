export type {
  CannotJudge,
  CarrierFacts,
  Conditions,
  Confidence,
  DemandAnswer,
  EmissionFacts,
  Limit,
  LimitAnswer,
  LevelRank,
  LimitClause,
  LimitFound,
  MissingFact,
  Mode,
  NoFigureClause,
  NoFigureFound,
  PowerLimit,
  Quantity,
  Rulebook,
  RulebookHead,
  ScalarAnswer,
  ScalarFound,
  ScalarLimit,
  ScalarUnit,
  ServiceBand,
  Standing,
} from './types'
export {
  QUANTITIES,
  QUANTITIES_BY_METHOD,
  RECEIVER_METHOD_TITLES,
  RECEIVER_METHODS,
  type ReceiverMethod,
  SCALAR_UNITS,
} from './types'
export { evaluateLimit, evaluateScalar, type PowerQuantity } from './evaluateLimit'
export { isPowerLimit, scalarWords } from './demandsOf'
export { limitOfKind, PLAIN_LIMIT } from './limitOfKind'
export { emissionEdges, limitsOfCarrier, type LimitsOfCarrier } from './limitRegimes'
export { evaluateSeveral, strictestOf, type SeveralAnswers } from './severalRulebooks'
export {
  limitDemands,
  powerLimitDbm,
  powerLimitWords,
  type WorkedDemand,
  type WorkedLimit,
} from './powerLimitDbm'
export { bookFiles, rulebooks, yardsticks, rulebookById } from './shipped'
export { clauseWords, quantityWords, type ClauseLine } from './clauseWords'
export { limitCurve, type LimitCurve, type LimitCurvePoint } from './limitCurve'
export { rulebookSchema } from './rulebookSchema'
export { copyRulebook } from './copyRulebook'
export {
  MAX_RULEBOOK_LENGTH,
  readRulebookFile,
  RULEBOOK_FORMAT,
  validateRulebook,
  writeRulebookFile,
} from './rulebookFile'
export { bandwidthConversionDb } from './referenceBandwidth'
export { LEVEL_RANKS } from './types'
export type { LargestUncertainty, OwnDecision } from './types'
export { compareRulebooks, type ClauseChange } from './compareRulebooks'
export { speaksOf } from './matchClauses'
