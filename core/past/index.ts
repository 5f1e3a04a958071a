export { algorithmA, type Consensus } from './algorithmA'
export { chartState, type ChartState, type ControlPoint, controlPoints } from './controlChart'
export { digestOf, type RadioMark, type ReviewDigest } from './digest'
export { type PastFigure, type PastRadio, pastRadios } from './figures'
export {
  type BenchComparison,
  type BenchConsensus,
  type BenchPair,
  compareBenches,
  consensusOf,
} from './otherBenches'
export { placeText, type Ranked, rankedBy } from './ranks'
