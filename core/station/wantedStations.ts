import type { Review } from '../review'
import type { Station } from './contract'

/**
 * The stations a review goes through: those every review has, those it asked for, and those something was
 * read at.
 */
export function wantedOf(stations: readonly Station[], review: Review): Station[] {
  const begun = new Set([...review.readings, ...review.figures].map(({ stationId }) => stationId))
  return stations.filter(
    ({ id, optional }) => !optional || review.settings.alsoStations.includes(id) || begun.has(id),
  )
}
