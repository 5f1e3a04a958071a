import type { Context } from '../context'
import { CoreError } from '../errors'
import type { Reading } from '../review'
import type { Roles } from '../step'
import type { Station } from './contract'
import { registered } from './registry'

/** Every station, in the order of work. */
export const stations: readonly Station[] = [...registered].sort((a, b) => a.order - b.order)

/**
 * A station by its id.
 * @throws CoreError `unknown-id`.
 */
export function stationById(id: string): Station {
  const found = stations.find(station => station.id === id)
  if (!found)
    throw new CoreError('unknown-id', `There is no station “${id}” in this version.`, { kind: 'station', id })
  return found
}

/**
 * The stations a review goes through, in the order of work: those every review has, those it asked for, and
 * those something was read at.
 */
export function wantedStations(context: Context): Station[] {
  const { readings, settings } = context.review
  const begun = context.forGood(begunIn, readings)
  return stations.filter(
    ({ id, optional, roles }) =>
      !optional ||
      settings.alsoStations.includes(id) ||
      begun.has(id) ||
      (optional === 'unless-equipped' && isEquipped(context, roles)),
  )
}

/** The bench has a chain for each role the station cannot do without. */
function isEquipped(context: Context, roles: Roles): boolean {
  return Object.values(roles).every(
    role =>
      role.optional ||
      context.chainHeads.some(({ instrumentId }) => {
        const kind = context.instrument(instrumentId)?.kind
        return kind !== undefined && role.instruments.includes(kind)
      }),
  )
}

function begunIn(readings: readonly Reading[]): Set<string> {
  const begun = new Set<string>()
  let latest: string | null = null
  for (const { stationId } of readings) if (stationId !== latest) begun.add((latest = stationId))
  return begun
}
