import type { DifferenceUnit } from '../quantity'
import type { Contribution } from './contribution'
import { createDistributions, type DistributionMethod, type Distributions } from './errorDistribution'
import { coverageFactor } from './studentT'

/** Contributions put together: the combined figure, the range that is shown, and the GUM figure beside it. */
export interface Budget {
  contributions: readonly Contribution[]
  /** Unit of every figure of it: dB for levels and ratios, else the figure's own. */
  unit: DifferenceUnit
  /** Root of the sum of squares. */
  standardUncertainty: number
  effectiveDegreesOfFreedom: number
  /** k of the GUM figure. */
  coverageFactor: number
  /** Half-width of the GUM's 95 % range: k times the combined standard uncertainty. */
  gumRange: number
  /** How the distribution that is judged by was found. */
  method: DistributionMethod
  /**
   * To add to the value before it is stated: the distribution is skewed, and the truth is to lie on
   * either side with equal chance.
   */
  shift: number
  /** Ends of the 95 % range of the error; −Infinity below where the noise hides the signal. */
  low: number
  high: number
  /** Half of it; where one end is open, the other end. */
  range: number
}

/**
 * Combines independent contributions. The range comes from the budget's own distribution; beside it stand
 * quadrature, Welch–Satterthwaite and k from Student's t for 95 %.
 * @param distributions - a store of distributions already known; a fresh one by default.
 * @param unit - unit the contributions are in; dB by default.
 * @returns zero uncertainty for an empty list.
 * @see JCGM 100:2008, 5.1.2, G.4.1 and G.6.4; handbook, section 5.
 */
export function budget(
  contributions: readonly Contribution[],
  distributions: Distributions = createDistributions(),
  unit: DifferenceUnit = 'dB',
): Budget {
  let sumOfSquares = 0
  let welch = 0
  for (const one of contributions) {
    const square = one.standardUncertainty * one.standardUncertainty
    sumOfSquares += square
    if (Number.isFinite(one.degreesOfFreedom)) welch += (square * square) / one.degreesOfFreedom
  }
  const standardUncertainty = Math.sqrt(sumOfSquares)
  const effectiveDegreesOfFreedom = welch > 0 ? (sumOfSquares * sumOfSquares) / welch : Infinity
  const factor = coverageFactor(effectiveDegreesOfFreedom)
  const { method, shift, low, high } = distributions.of(contributions)
  return {
    contributions,
    unit,
    standardUncertainty,
    effectiveDegreesOfFreedom,
    coverageFactor: factor,
    gumRange: factor * standardUncertainty,
    method,
    shift,
    low,
    high,
    range: Number.isFinite(low) ? (high - low) / 2 : high,
  }
}
