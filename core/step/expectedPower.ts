import type { PowerClaim, RadioSet } from '../review'

/** Power a careful person expects of a set whose maker says nothing, W (common practice, no source). */
const ASSUMED_POWER_W = { handheld: 10, mobile: 50 } as const

/** The power to check a chain for, and where it comes from. */
export interface ExpectedPower {
  powerW: number
  powerFrom: 'claim' | 'assumed'
}

/**
 * The power to check a chain for: the claim, else the highest claim of the set, else what such sets make at
 * most.
 */
export function powerToExpect(set: RadioSet, claim: PowerClaim): ExpectedPower {
  if (claim.kind === 'watts') return { powerW: claim.powerW, powerFrom: 'claim' }
  const claims = set.bands
    .flatMap(band => Object.values(band.claims))
    .flatMap(other => (other.kind === 'watts' ? [other.powerW] : []))
  return { powerW: claims.length > 0 ? Math.max(...claims) : ASSUMED_POWER_W[set.kind], powerFrom: 'assumed' }
}
