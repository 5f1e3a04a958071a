import type { Contribution } from './contribution'
import { coverageFactor } from './studentT'

/** Contributions put together: the combined figure and the range that is shown. */
export interface Budget {
  contributions: Contribution[]
  /** Root of the sum of squares, dB. */
  standardUncertaintyDb: number
  effectiveDegreesOfFreedom: number
  coverageFactor: number
  /** Half-width of the 95 % range, dB. */
  rangeDb: number
}

/**
 * Combines independent contributions in quadrature; the effective degrees of freedom follow
 * Welch–Satterthwaite and k comes from Student's t for 95 %.
 * @returns zero uncertainty for an empty list.
 * @see JCGM 100:2008, 5.1.2, G.4.1 and G.6.4.
 */
export function budget(contributions: readonly Contribution[]): Budget {
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
  return { contributions: [...contributions], standardUncertaintyDb, effectiveDegreesOfFreedom, coverageFactor: factor, rangeDb: factor * standardUncertaintyDb }
}
