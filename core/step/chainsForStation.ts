import type { Instrument } from '../chain'
import type { Context, ChainHead } from '../context'
import type { RadioSet, RoleId } from '../review'
import type { Role, Roles } from './step'

/** Whose chain is wanted: of a set, at a station, in one of its roles. */
interface Wanted {
  chosenId: string | undefined
  instruments: readonly Instrument['kind'][]
  /** Chain that is taken already. */
  apartFrom: string | null
}

/**
 * The chains new readings of a station go through, by role: the one chosen for this set, or the first whose
 * instrument suits. null where the bench has none.
 */
export function chainsForStation(
  set: RadioSet,
  stationId: string,
  roles: Roles,
  context: Context,
): Record<RoleId, string | null> {
  const found: Record<RoleId, string | null> = {}
  for (const [role, { instruments, apartFrom }] of Object.entries(roles))
    found[role] = chainFor(context, {
      chosenId: set.chains[stationId]?.[role],
      instruments,
      apartFrom: (apartFrom && found[apartFrom]) ?? null,
    })
  return found
}

function chainFor(context: Context, { chosenId, instruments, apartFrom }: Wanted): string | null {
  const kindOf = (id: string) => context.instrument(id)?.kind
  const suits = (instrumentId: string) => {
    const kind = kindOf(instrumentId)
    return kind !== undefined && instruments.includes(kind)
  }
  const chains = context.chainHeads.filter(chain => !isTaken(chain, apartFrom, context))
  const chosen = chains.find(({ id }) => id === chosenId)
  if (chosen && suits(chosen.instrumentId)) return chosen.id
  for (const kind of instruments) {
    const found = chains.find(chain => kindOf(chain.instrumentId) === kind)
    if (found) return found.id
  }
  return null
}

/** A chain that is in use already, or ends in the one output of a generator that is. */
function isTaken(chain: ChainHead, takenId: string | null, context: Context): boolean {
  if (takenId === null) return false
  if (chain.id === takenId) return true
  const taken = context.chainHeads.find(({ id }) => id === takenId)
  if (!taken || taken.instrumentId !== chain.instrumentId) return false
  const instrument = context.instrument(chain.instrumentId)
  return !(instrument?.kind === 'signal-generator' && instrument.channels === 2)
}

/** Name of a chain; null where it is not on the bench. */
export function chainName(id: string | null, context: Context): string | null {
  return context.chainHeads.find(chain => chain.id === id)?.name ?? null
}

/** Chains whose instrument suits a role, for the choice on screen. */
export function suitableChains(context: Context, { instruments }: Role): { id: string; name: string }[] {
  return context.chainHeads.filter(({ instrumentId }) => {
    const kind = context.instrument(instrumentId)?.kind
    return kind !== undefined && instruments.includes(kind)
  })
}
