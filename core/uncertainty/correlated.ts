import { CoreError } from '../errors'

/** One input of a result: its standard uncertainty and how strongly the result follows it. */
export interface SensitiveInput {
  standardUncertainty: number
  /** ∂f/∂x at the estimate. */
  sensitivity: number
}

/**
 * Combined standard uncertainty of correlated inputs: u² = Σᵢ Σⱼ cᵢ cⱼ uᵢ uⱼ rᵢⱼ. With r = 1 and opposite
 * sensitivities two
 * inputs cancel, which is why what two readings share drops out of their ratio.
 * @param correlations - rᵢⱼ, symmetric with ones on the diagonal, as many rows and columns as inputs.
 * @throws CoreError `out-of-range` when the matrix does not fit.
 * @see JCGM 100:2008, 5.2.2 equation (16) (from memory).
 */
export function correlatedUncertainty(
  inputs: readonly SensitiveInput[],
  correlations: readonly (readonly number[])[],
): number {
  if (correlations.length !== inputs.length || correlations.some(row => row.length !== inputs.length))
    throw new CoreError(
      'out-of-range',
      `The correlation matrix must have ${inputs.length} rows and columns.`,
      { name: 'correlations', got: correlations.length, min: inputs.length, max: inputs.length },
    )
  let sum = 0
  inputs.forEach((a, i) =>
    inputs.forEach((b, j) => {
      sum +=
        a.sensitivity * b.sensitivity * a.standardUncertainty * b.standardUncertainty * correlations[i]![j]!
    }),
  )
  return Math.sqrt(Math.max(0, sum))
}
