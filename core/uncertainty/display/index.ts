export {
  ASSUMED_MEAN_OF,
  type Detection,
  type Display,
  DISPLAYS,
  lawsOf,
  UNKNOWN_DETECTION,
} from './detection'
export { displayEffect, type DisplayEffect, meanScatterDb } from './displayLines'
export { displayBelow, type DisplayLaw, noiseAloneDb } from './displayLaw'
export { lookBelow, lookLogarithm } from './lookPower'
export { type FloorFrom, type SignalUnderNoise, signalUnderNoise } from './signalUnderNoise'
