import { type BenchCheck, benchChecks, type BenchCheckInput, type Chain } from '../chain'
import type { Context } from '../context'
import { evaluateLimit, evaluateSeveral } from '../rules'
import { carrierFacts } from './carrierFacts'
import type { ExpectedPower } from './expectedPower'
import type { Step } from './step'

/** What a limit on a carrier’s harmonics hangs on. */
export type LimitPlace = Pick<Step, 'set' | 'band' | 'channel'>

/** What a chain is checked for: a carrier, its power, what limits its harmonics, how far up they matter. */
export interface CheckedFor extends ExpectedPower {
  carrierHz: number
  /** null where no radio says what it answers to. */
  place: LimitPlace | null
  /** 1 where harmonics do not matter. */
  highestHarmonic: number
}

/**
 * The bench checks of a chain for one carrier, at the temperature and duty of the review. Gravest first.
 * @param ages - what is needed to say how old its calibrations are; said nothing of by default.
 */
export function chainChecks(
  chain: Chain,
  at: CheckedFor,
  context: Context,
  ages?: BenchCheckInput['calibration'],
): BenchCheck[] {
  const { carrierHz, powerW, powerFrom, place, highestHarmonic } = at
  const { ambientC, duty } = context.review.settings
  return benchChecks({
    chain,
    instrument: context.instrument(chain.instrumentId),
    carrierHz,
    powerW,
    powerFrom,
    harmonicLimitDbm: place && strictestLimitDbm(place, powerW, context),
    limitAtDbm: harmonic => place && limitAtHarmonicDbm(place, { powerW, harmonic }, context),
    highestHarmonic,
    conditions: { ambientC, duty },
    ...(ages ? { calibration: ages } : {}),
  })
}

/**
 * The limit on harmonics to draw down a chain, dBm: the strictest of the rulebooks', or the yardstick's where
 * they have none; null where nobody has one.
 */
export function strictestLimitDbm(at: LimitPlace, powerW: number, context: Context): number | null {
  return limitAtHarmonicDbm(at, { powerW, harmonic: 2 }, context)
}

function limitAtHarmonicDbm(
  at: LimitPlace,
  { powerW, harmonic }: { powerW: number; harmonic: number },
  context: Context,
): number | null {
  const facts = carrierFacts(at, powerW)
  const emission = { frequencyHz: harmonic * at.channel.frequencyHz, harmonic }
  const { strictest } = evaluateSeveral(context.rulebooksOf(at.band), facts, emission)
  if (strictest.kind === 'limit') return strictest.limitDbm
  const own = context.yardstick && evaluateLimit(context.yardstick, facts, emission)
  return own?.kind === 'limit' ? own.limitDbm : null
}
