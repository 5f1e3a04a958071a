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
