import type { Reading, Review } from '../../review'

/** The readings that stand at a station: the latest of each place. */
export function standingAt({ readings }: Pick<Review, 'readings'>, stationIds: readonly string[]): Reading[] {
  const superseded = new Set(readings.map(({ supersedes }) => supersedes))
  return readings.filter(({ id, stationId }) => stationIds.includes(stationId) && !superseded.has(id))
}

/** Whether something is read at stations, and all that stands there was read after a moment. */
export function allReadAfter(review: Review, stationIds: readonly string[], at: string | undefined): boolean {
  const standing = standingAt(review, stationIds)
  return at !== undefined && standing.length > 0 && standing.every(reading => reading.at >= at)
}
