export { answersFor, findings, type Findings, type FindingsRow } from './findings'
export { remarks } from './remarks'
export { comparisons, type Comparison } from './otherTesters'
export { sampleShares } from './sampleShares'
