import normalCdf from '@stdlib/stats-base-dists-normal-cdf'
import normalQuantile from '@stdlib/stats-base-dists-normal-quantile'
import tCdf from '@stdlib/stats-base-dists-t-cdf'
import tQuantile from '@stdlib/stats-base-dists-t-quantile'

/** Beyond this many degrees of freedom t and normal agree to better than 1e-6. */
const NORMAL_FROM = 1e6

/** k for 95 % where nothing was repeated: asked for with every reading. */
const NORMAL_95 = normalQuantile(0.975, 0, 1)

/** Coverage factor k for a two-sided share (0.95 by default); 1.960 for infinite degrees of freedom. */
export function coverageFactor(degreesOfFreedom: number, share = 0.95): number {
  if (degreesOfFreedom >= NORMAL_FROM && share === 0.95) return NORMAL_95
  const p = 0.5 + share / 2
  return degreesOfFreedom >= NORMAL_FROM ? normalQuantile(p, 0, 1) : tQuantile(p, degreesOfFreedom)
}

/** P(X ≤ z) for a standardised error z: normal, or Student's t with the given degrees of freedom. */
export function probabilityBelow(z: number, degreesOfFreedom: number): number {
  if (z === Infinity) return 1
  if (z === -Infinity) return 0
  return degreesOfFreedom >= NORMAL_FROM ? normalCdf(z, 0, 1) : tCdf(z, degreesOfFreedom)
}
