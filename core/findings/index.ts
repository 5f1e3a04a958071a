export { findings, findingsInSlices, findingsOrder, type Findings, type FindingsRow } from './findings'
export { findingsMark, type FindingsMark } from './findingsMark'
export {
  KEYING_CAUTION,
  KEYING_WORDS,
  type KeyingReason,
  type KeyingState,
  mayIKey,
  type MayIKey,
} from './mayIKey'
export {
  FILTER_CAUTION,
  type FilterRead,
  mayIKeyWithFilter,
  parseFilterLoss,
  typicalFilterLoss,
} from './keyingWithFilter'
export { openOf, remarks } from './remarks'
export { comparisons, type Comparison } from './otherTesters'
export { figureDifferences, readFigures, type ReviewDifference, reviewDifferences } from './reviewDifferences'
export { sampleShares } from './sampleShares'
export { rulebookFlips, type RulebookFlip } from './rulebookFlips'
export { supposedReview, type Supposition, whatIf } from './whatIf'
