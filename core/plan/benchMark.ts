import { benchChecks, type CheckSeverity, worstSeverity } from '../chain'
import type { Context } from '../context'
import type { VerdictState } from '../decision'
import type { RadioSet } from '../review'
import { wantedStations } from '../station'
import { powerToExpect, stepPlaces } from '../step'

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
  const [place] = stepPlaces(set)
  if (!chain || !place) return 'danger'
  const checks = benchChecks({
    chain,
    instrument: context.instrument(chain.instrumentId),
    carrierHz: place.channel.frequencyHz,
    ...powerToExpect(set, place.claim),
    harmonicLimitDbm: null,
    highestHarmonic: 1,
  })
  return worstSeverity(checks) ?? 'ok'
}
