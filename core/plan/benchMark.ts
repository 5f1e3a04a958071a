import { type CheckSeverity, worstSeverity } from '../chain'
import type { Context } from '../context'
import type { VerdictState } from '../decision'
import type { RadioSet } from '../review'
import { wantedStations } from '../station'
import { chainChecks, expectedPlaces, hottestPlace } from '../step'

const STATES: Record<CheckSeverity, VerdictState> = {
  danger: 'outside',
  caution: 'too-close',
  note: 'inside',
  ok: 'inside',
}

/** What the bench check says of the chains a set’s run goes through; null where nothing is planned. */
export function benchMark(set: RadioSet, context: Context): VerdictState | null {
  const chainIds = new Set(
    wantedStations(context).flatMap(station =>
      station.plan(set, context).flatMap(({ chains }) => Object.values(chains)),
    ),
  )
  const severities = [...chainIds].map(chainId => severityOf(chainId, set, context))
  if (severities.length === 0) return null
  if (severities.includes('danger')) return STATES.danger
  return severities.includes('caution') ? STATES.caution : STATES.ok
}

function severityOf(chainId: string | null, set: RadioSet, context: Context): CheckSeverity {
  const chain = context.chain(chainId)
  const place = hottestPlace(expectedPlaces(set))
  if (!chain || !place) return 'danger'
  const carrierHz = place.channel.frequencyHz
  const { powerW, powerFrom } = place
  const at = { carrierHz, powerW, powerFrom, place: { set, ...place }, highestHarmonic: 1 }
  const worst = worstSeverity(chainChecks(chain, at, context))
  // Nobody keys into a generator; the step that could destroy one is locked until it is ticked.
  const isGenerator = context.instrument(chain.instrumentId)?.kind === 'signal-generator'
  return isGenerator && worst === 'danger' ? 'caution' : worst
}
