export { BETWEEN_POINTS_MEAN } from './shapes'
export {
  contribution,
  type ContributionTable,
  type Contribution,
  type ContributionGroup,
  type ContributionInput,
  type Distribution,
} from './contribution'
export { budget, type Budget } from './budget'
export { budgetLines, type BudgetLine } from './budgetLines'
export {
  createDistributions,
  errorDistribution,
  type DistributionMethod,
  type Distributions,
  type ErrorDistribution,
} from './errorDistribution'
export {
  monteCarlo,
  MONTE_CARLO_DEFAULTS,
  type MonteCarloOptions,
  type Simulated,
  type SimulatedFigures,
} from './monteCarlo'
export { createDrawingRules, type DrawingRules } from './drawSums'
export {
  type DrawnPart,
  drawnPart,
  simulatedFromParts,
  SIMULATION_PARTS,
  type SimulationPart,
  simulationParts,
} from './simulationParts'
export { ratioContributions } from './ratioContributions'
export { improvements, type Improvement } from './improvements'
export { repeats, repeatsContribution, type Repeats } from './repeats'
export { percentAsDb, powerShareContribution, DB_PER_UNIT_POWER } from './percentOfPower'
export { coverageFactor, probabilityBelow } from './studentT'
export { floorEffect, floorBiasDb, CORRECT_BELOW_DB, type FloorEffect } from './noiseFloor'
export { mismatchContribution, mismatchHalfWidthDb, mismatchLimitsDb } from './mismatch'
export {
  evenPeakLine,
  type HarmonicInMeter,
  type PeakEffect,
  type PeakLineOf,
  peakMeterEffect,
} from './peakMeter'
export { steppedTraceLossDb } from './traceSteps'
export { correlatedUncertainty, type SensitiveInput } from './correlated'
export { propagate, type Propagated } from './propagate'
export {
  ASSUMED_MEAN_OF,
  type Detection,
  type Display,
  displayEffect,
  DISPLAYS,
  type FloorFrom,
  lawsOf,
  lookBelow,
  lookLogarithm,
  meanScatterDb,
  noiseAloneDb,
  signalUnderNoise,
  UNKNOWN_DETECTION,
} from './display'
