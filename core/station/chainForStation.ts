import type { Instrument } from '../chain'
import type { RadioSet } from '../review'
import type { StationContext } from './stationContext'

/**
 * The chain new readings of a station go through: the one chosen for this set, or the first whose
 * instrument suits. null when the bench has none.
 */
export function chainForStation(
  set: RadioSet,
  stationId: string,
  context: StationContext,
  suits: readonly Instrument['kind'][],
): string | null {
  const chosen = context.chain(set.chainByStation[stationId] ?? null)
  const kindOf = (instrumentId: string) => context.instrument(instrumentId)?.kind
  if (chosen && suits.includes(kindOf(chosen.instrumentId) as Instrument['kind'])) return chosen.id
  for (const kind of suits) {
    const found = context.review.chains.find(chain => kindOf(chain.instrumentId) === kind)
    if (found) return found.id
  }
  return null
}

/** Chains whose instrument suits a station, for the choice on screen. */
export function suitableChains(
  context: StationContext,
  suits: readonly Instrument['kind'][],
): { id: string; name: string }[] {
  return context.review.chains
    .filter(chain => suits.includes(context.instrument(chain.instrumentId)?.kind as Instrument['kind']))
    .map(({ id, name }) => ({ id, name }))
}
