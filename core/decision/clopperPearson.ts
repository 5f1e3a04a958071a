import betaQuantile from '@stdlib/stats-base-dists-beta-quantile'
import { assertInRange } from '../errors'

/** A range for a share, 0 to 1. */
export interface ShareRange {
  low: number
  high: number
}

/**
 * What k good of n samples say of the share of good units, two-sided 95 % by default: 1 of 4 gives 0.63 % to
 * 80.6 %.
 * @throws CoreError `out-of-range` when k is not in 0…n, or n is 0.
 * @see C. J. Clopper, E. S. Pearson, Biometrika 26 (1934) 404 (from memory).
 */
export function clopperPearson(good: number, samples: number, share = 0.95): ShareRange {
  assertInRange('Samples', samples, 1, 1e6)
  assertInRange('Good samples', good, 0, samples)
  const tail = (1 - share) / 2
  return {
    low: good === 0 ? 0 : betaQuantile(tail, good, samples - good + 1),
    high: good === samples ? 1 : betaQuantile(1 - tail, good + 1, samples - good),
  }
}
