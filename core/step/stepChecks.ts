import { type BenchCheck, benchChecks, type BenchCheckInput } from '../chain'
import type { Context } from '../context'
import { evaluateLimit, evaluateSeveral } from '../rules'
import { carrierFacts } from './carrierFacts'
import { powerToExpect } from './expectedPower'
import { chainIdOf, type Step } from './step'

/** The bench checks of the chain a step uses, at the power to expect there. */
export function stepChecks(step: Step, context: Context, highestHarmonic: number): BenchCheck[] {
  const chain = context.chain(chainIdOf(step))
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
    harmonicLimitDbm: strictestLimitDbm(step, expected.powerW, context),
    limitAtDbm: n => limitAtHarmonicDbm(step, { powerW: expected.powerW, harmonic: n }, context),
    highestHarmonic,
    ...checkConditions(context),
  })
}

/** What the checks of a chain must know of the review: temperature and duty. */
export function checkConditions(context: Context): Pick<BenchCheckInput, 'conditions'> {
  const { ambientC, duty } = context.review.settings
  return { conditions: { ambientC, duty } }
}

/**
 * The limit at one harmonic of a carrier, dBm: the strictest of the rulebooks', or the yardstick's where they
 * have none.
 */
export function limitAtHarmonicDbm(
  step: Pick<Step, 'set' | 'band' | 'channel'>,
  { powerW, harmonic }: { powerW: number; harmonic: number },
  context: Context,
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
  step: Pick<Step, 'set' | 'band' | 'channel'>,
  powerW: number,
  context: Context,
): number | null {
  return limitAtHarmonicDbm(step, { powerW, harmonic: 2 }, context)
}
