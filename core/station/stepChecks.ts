import { type BenchCheck, benchChecks } from '../chain'
import { evaluateLimit } from '../rules'
import type { Step } from './contract'
import type { StationContext } from './stationContext'
import { powerToExpect } from './stepBasics'

/** The bench checks of the chain a step uses, at the power to expect there. */
export function stepChecks(step: Step, context: StationContext, highestHarmonic: number): BenchCheck[] {
  const chain = context.chain(step.chainId)
  if (!chain)
    return [{ id: 'no-chain', severity: 'danger', title: 'No chain on the bench suits this station.', text: 'Add one at the bench check.', lamp: 'No chain for this station', partId: null }]
  const expected = powerToExpect(step.set, step.claim)
  return benchChecks({
    chain, instrument: context.instrument(chain.instrumentId), carrierHz: step.channel.frequencyHz,
    ...expected, harmonicLimitDbm: strictestLimitDbm(context, step.channel.frequencyHz, expected.powerW), highestHarmonic,
  })
}

/** The limit on harmonics to draw down a chain: law's, or the yardstick's where law has none. */
export function strictestLimitDbm(context: StationContext, frequencyHz: number, powerW: number): number | null {
  const law = evaluateLimit(context.rulebook, { frequencyHz, powerW })
  if (law.kind === 'limit') return law.limitDbm
  const own = context.yardstick && evaluateLimit(context.yardstick, { frequencyHz, powerW })
  return own?.kind === 'limit' ? own.limitDbm : null
}
