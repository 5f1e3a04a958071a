import type { Chain, Instrument } from '../chain'
import type { Context, State } from '../context'
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
    found[role] = context.ask(chainFor, {
      chosenId: set.chains[stationId]?.[role],
      instruments,
      apartFrom: (apartFrom && found[apartFrom]) ?? null,
    })
  return found
}

function chainFor(state: State, { chosenId, instruments, apartFrom }: Wanted): string | null {
  const kindOf = (id: string) => state.instruments.get(id)?.kind
  const suits = (instrumentId: string) => {
    const kind = kindOf(instrumentId)
    return kind !== undefined && instruments.includes(kind)
  }
  const chains = state.review.chains.filter(chain => !isTaken(chain, apartFrom, state))
  const chosen = chains.find(({ id }) => id === chosenId)
  if (chosen && suits(chosen.instrumentId)) return chosen.id
  for (const kind of instruments) {
    const found = chains.find(chain => kindOf(chain.instrumentId) === kind)
    if (found) return found.id
  }
  return null
}

/** A chain that is in use already, or ends in the one output of a generator that is. */
function isTaken(chain: Chain, takenId: string | null, { review, instruments }: State): boolean {
  if (takenId === null) return false
  if (chain.id === takenId) return true
  const taken = review.chains.find(({ id }) => id === takenId)
  if (!taken || taken.instrumentId !== chain.instrumentId) return false
  const instrument = instruments.get(chain.instrumentId)
  return !(instrument?.kind === 'signal-generator' && instrument.channels === 2)
}

/** Name of a chain; null where it is not on the bench. */
export function chainName(id: string | null, context: Context): string | null {
  return id === null ? null : context.ask(nameOf, id)
}

const nameOf = ({ review }: State, id: string) => review.chains.find(chain => chain.id === id)?.name ?? null

/** Chains whose instrument suits a role, for the choice on screen. */
export function suitableChains(context: Context, { instruments }: Role): { id: string; name: string }[] {
  return context.review.chains.filter(({ instrumentId }) => {
    const kind = context.instrument(instrumentId)?.kind
    return kind !== undefined && instruments.includes(kind)
  })
}
