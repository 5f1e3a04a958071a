import type { Reading, Review } from '../../review'

/** The readings that stand at a station: the latest of each place. */
export function standingAt({ readings }: Pick<Review, 'readings'>, stationIds: readonly string[]): Reading[] {
  return standing(readings).filter(({ stationId }) => stationIds.includes(stationId))
}

function standing(readings: readonly Reading[]): Reading[] {
  const superseded = new Set(readings.map(({ supersedes }) => supersedes))
  return readings.filter(({ id }) => !superseded.has(id))
}

/** The readings that stand and were read with an instrument. */
export function standingWith({ readings }: Pick<Review, 'readings'>, instrumentId: string): Reading[] {
  return standing(readings).filter(reading => reading.instrumentId === instrumentId)
}

/** Whether something is read at stations, and all that stands there was read after a moment. */
export function allReadAfter(review: Review, stationIds: readonly string[], at: string | undefined): boolean {
  return areAllAfter(standingAt(review, stationIds), at)
}

/** Whether there are any, and all were read after a moment. */
export function areAllAfter(readings: readonly Reading[], at: string | undefined): boolean {
  return at !== undefined && readings.length > 0 && readings.every(reading => reading.at >= at)
}
