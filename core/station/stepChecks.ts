import { type BenchCheck, benchChecks, type BenchCheckInput, HEAT_DEFAULTS, levelStairsFromWatts, partHeat } from '../chain'
import { evaluateLimit, evaluateSeveral } from '../rules'
import { carrierFacts } from './carrierFacts'
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
    ...expected, harmonicLimitDbm: strictestLimitDbm(context, step, expected.powerW), limitAtDbm: n => limitAtHarmonicDbm(context, step, expected.powerW, n), highestHarmonic, ...checkConditions(context),
  })
}

/** What the checks of a chain must know of the review: temperature and duty. */
export function checkConditions(context: StationContext): Pick<BenchCheckInput, 'conditions'> {
  const { ambientC, duty } = context.review.settings
  return { conditions: { ambientC, duty } }
}

/** The limit at one harmonic of a carrier, dBm: the strictest of the rulebooks', or the yardstick's where they have none. */
export function limitAtHarmonicDbm(context: StationContext, step: Pick<Step, 'set' | 'band' | 'channel'>, powerW: number, harmonic: number): number | null {
  const facts = carrierFacts(step, powerW)
  const emission = { frequencyHz: harmonic * step.channel.frequencyHz, harmonic }
  const { strictest } = evaluateSeveral(context.rulebooksOf(step.band), facts, emission)
  if (strictest.kind === 'limit') return strictest.limitDbm
  const own = context.yardstick && evaluateLimit(context.yardstick, facts, emission)
  return own?.kind === 'limit' ? own.limitDbm : null
}

/** The limit on harmonics to draw down a chain: the strictest of the rulebooks', or the yardstick's where they have none. */
export function strictestLimitDbm(context: StationContext, step: Pick<Step, 'set' | 'band' | 'channel'>, powerW: number): number | null {
  return limitAtHarmonicDbm(context, step, powerW, 2)
}

/**
 * Longest the set may be keyed in one go on this step, s: what the set bears, and what the parts of the chain bear at the power to
 * expect; 0 where a part bears none of it.
 */
export function keyDownAllowedS(step: Step, context: StationContext): number {
  const chain = context.chain(step.chainId)
  if (!chain) return step.set.keyDownLimitS
  const { powerW } = powerToExpect(step.set, step.claim)
  const stairs = levelStairsFromWatts(chain, context.instrument(chain.instrumentId), { powerW, frequencyHz: step.channel.frequencyHz })
  const { conditions = HEAT_DEFAULTS } = checkConditions(context)
  const soaking = [
    ...stairs.stairs.flatMap(({ part, heatW }) => (part.kind === 'pad' || part.kind === 'load' || part.kind === 'combiner' ? [{ part, heatW }] : [])),
    ...(stairs.termination ? [stairs.termination] : []),
  ]
  return soaking.reduce((least, { part, heatW }) => {
    if (heatW === null || part.ratingW === null) return least
    const heat = partHeat(part, heatW, conditions)
    return heat.continuous ? least : Math.min(least, Math.floor(heat.mayBeKeyedS))
  }, step.set.keyDownLimitS)
}
