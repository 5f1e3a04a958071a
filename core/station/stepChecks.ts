import { type BenchCheck, benchChecks, type BenchCheckInput } from '../chain'
import { evaluateLimit, evaluateSeveral } from '../rules'
import { carrierFacts } from './carrierFacts'
import type { Step } from './contract'
import type { StationContext } from './stationContext'
import { powerToExpect } from './stepBasics'

/** The bench checks of the chain a step uses, at the power to expect there. */
export function stepChecks(step: Step, context: StationContext, highestHarmonic: number): BenchCheck[] {
  const chain = context.chain(step.chainId)
  if (!chain)
    return [
      {
        id: 'no-chain',
        severity: 'danger',
        title: 'No chain on the bench suits this station.',
        text: 'Add one at the bench check.',
        lamp: 'No chain for this station',
        partId: null,
      },
    ]
  const expected = powerToExpect(step.set, step.claim)
  return benchChecks({
    chain,
    instrument: context.instrument(chain.instrumentId),
    carrierHz: step.channel.frequencyHz,
    ...expected,
    harmonicLimitDbm: strictestLimitDbm(context, step, expected.powerW),
    limitAtDbm: n => limitAtHarmonicDbm(context, step, expected.powerW, n),
    highestHarmonic,
    ...checkConditions(context),
  })
}

/** What the checks of a chain must know of the review: temperature and duty. */
export function checkConditions(context: StationContext): Pick<BenchCheckInput, 'conditions'> {
  const { ambientC, duty } = context.review.settings
  return { conditions: { ambientC, duty } }
}

/**
 * The limit at one harmonic of a carrier, dBm: the strictest of the rulebooks', or the yardstick's where they
 * have none.
 */
export function limitAtHarmonicDbm(
  context: StationContext,
  step: Pick<Step, 'set' | 'band' | 'channel'>,
  powerW: number,
  harmonic: number,
): number | null {
  const facts = carrierFacts(step, powerW)
  const emission = { frequencyHz: harmonic * step.channel.frequencyHz, harmonic }
  const { strictest } = evaluateSeveral(context.rulebooksOf(step.band), facts, emission)
  if (strictest.kind === 'limit') return strictest.limitDbm
  const own = context.yardstick && evaluateLimit(context.yardstick, facts, emission)
  return own?.kind === 'limit' ? own.limitDbm : null
}

/**
 * The limit on harmonics to draw down a chain: the strictest of the rulebooks', or the yardstick's where they
 * have none.
 */
export function strictestLimitDbm(
  context: StationContext,
  step: Pick<Step, 'set' | 'band' | 'channel'>,
  powerW: number,
): number | null {
  return limitAtHarmonicDbm(context, step, powerW, 2)
}
