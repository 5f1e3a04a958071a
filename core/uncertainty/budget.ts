import type { Contribution } from './contribution'
import { createDistributions, type DistributionMethod, type Distributions } from './errorDistribution'
import { coverageFactor } from './studentT'

/** Contributions put together: the combined figure, the range that is shown, and the GUM figure beside it. */
export interface Budget {
  contributions: readonly Contribution[]
  /** Root of the sum of squares, dB. */
  standardUncertaintyDb: number
  effectiveDegreesOfFreedom: number
  /** k of the GUM figure. */
  coverageFactor: number
  /** Half-width of the GUM's 95 % range, dB: k times the combined standard uncertainty. */
  gumRangeDb: number
  /** How the distribution that is judged by was found. */
  method: DistributionMethod
  /**
   * To add to the value before it is stated, dB: the distribution is skewed, and the truth is to lie on
   * either side with equal chance.
   */
  shiftDb: number
  /** Ends of the 95 % range of the error, dB; −Infinity below where the noise hides the signal. */
  lowDb: number
  highDb: number
  /** Half of it, dB; where one end is open, the other end. */
  rangeDb: number
}

/**
 * Combines independent contributions. The range comes from the budget's own distribution; beside it stand
 * quadrature, Welch–Satterthwaite and k from Student's t for 95 %.
 * @param distributions - a store of distributions already known; a fresh one by default.
 * @returns zero uncertainty for an empty list.
 * @see JCGM 100:2008, 5.1.2, G.4.1 and G.6.4; handbook, section 5.
 */
export function budget(
  contributions: readonly Contribution[],
  distributions: Distributions = createDistributions(),
): Budget {
  let sumOfSquares = 0
  let welch = 0
  for (const { standardUncertaintyDb, degreesOfFreedom } of contributions) {
    const square = standardUncertaintyDb * standardUncertaintyDb
    sumOfSquares += square
    if (Number.isFinite(degreesOfFreedom)) welch += (square * square) / degreesOfFreedom
  }
  const standardUncertaintyDb = Math.sqrt(sumOfSquares)
  const effectiveDegreesOfFreedom = welch > 0 ? (sumOfSquares * sumOfSquares) / welch : Infinity
  const factor = coverageFactor(effectiveDegreesOfFreedom)
  const { method, shiftDb, lowDb, highDb } = distributions.of(contributions)
  return {
    contributions,
    standardUncertaintyDb,
    effectiveDegreesOfFreedom,
    coverageFactor: factor,
    gumRangeDb: factor * standardUncertaintyDb,
    method,
    shiftDb,
    lowDb,
    highDb,
    rangeDb: Number.isFinite(lowDb) ? (highDb - lowDb) / 2 : highDb,
  }
}
