import type { Band, Channel, PowerClaim, PowerLevel, RadioSet } from '../review'

/** A place a step is planned for: band, channel and level. */
export interface StepPlace {
  band: Band
  channel: Channel
  level: PowerLevel
  claim: PowerClaim
}

/** Every band × channel × level the set has, bands first, then levels, then channels from low to high. */
export function stepPlaces(set: RadioSet): StepPlace[] {
  return set.bands.flatMap(band =>
    set.levels.flatMap(level => {
      const claim = band.claims[level.id] ?? { kind: 'no-level' as const }
      if (claim.kind === 'no-level') return []
      return [...band.channels]
        .sort((a, b) => a.frequencyHz - b.frequencyHz)
        .map(channel => ({ band, channel, level, claim }))
    }),
  )
}

/** The stable id of a step. */
export function stepId(stationId: string, place: Pick<StepPlace, 'band' | 'channel' | 'level'>): string {
  return `${stationId}:${place.band.id}:${place.channel.id}:${place.level.id}`
}

/** Power a careful person expects of a set whose maker says nothing, W (common practice, no source). */
export const ASSUMED_POWER_W = { handheld: 10, mobile: 50 } as const

/**
 * The power to check a chain for: the claim, else the highest claim of the set, else what such sets make at
 * most.
 */
export function powerToExpect(
  set: RadioSet,
  claim: PowerClaim,
): { powerW: number; powerFrom: 'claim' | 'assumed' } {
  if (claim.kind === 'watts') return { powerW: claim.powerW, powerFrom: 'claim' }
  const claims = set.bands
    .flatMap(band => Object.values(band.claims))
    .flatMap(other => (other.kind === 'watts' ? [other.powerW] : []))
  return { powerW: claims.length > 0 ? Math.max(...claims) : ASSUMED_POWER_W[set.kind], powerFrom: 'assumed' }
}
