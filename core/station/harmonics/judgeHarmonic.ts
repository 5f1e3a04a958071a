import { decide, type Verdict, verdictWithout, verdictWords } from '../../decision'
import {
  type EmissionFacts,
  evaluateLimit,
  type LimitAnswer,
  type LimitFound,
  type LimitsOfCarrier,
  type Rulebook,
} from '../../rules'
import { type Budget, budget, ratioContributions } from '../../uncertainty'
import { carrierFacts } from '../carrierFacts'
import type { Slot, Step } from '../contract'
import type { CorrectedReading } from '../correctReading'
import type { StationContext } from '../stationContext'
import { type CarrierForLimit, firstLineCarrier } from './carrierForLimit'
import { harmonicOf } from './moments'

/** A limit and the verdict against it. */
export interface Judged {
  limit: LimitAnswer
  verdict: Verdict
  words: string
  /** Budget of the margin where it is not the reading's own: the limit follows the carrier (dBc). */
  ratio: Budget | null
}

export interface JudgeHarmonicInput {
  rulebook: Rulebook
  step: Step
  slot: Slot
  carrier: CarrierForLimit
  context: StationContext
  /** Limits of the rulebook for the carrier of this step, worked out once for all its harmonics. */
  limits: LimitsOfCarrier
}

/**
 * Judges one corrected harmonic by one rulebook. Where the limit follows the carrier, the margin is a ratio:
 * what both
 * readings share cancels, and the carrier's own uncertainty enters. It is taken from whichever carrier leaves
 * less open.
 */
export function judgeHarmonic(corrected: CorrectedReading, input: JudgeHarmonicInput): Judged {
  const { context, step, slot } = input
  const limit = input.limits(emissionOf(slot))
  if (limit.kind !== 'limit') {
    const verdict = verdictWithout(limit.kind === 'no-figure' ? 'no-figure' : 'not-covered', limit.reason)
    return {
      limit,
      verdict,
      words: limit.kind === 'no-figure' ? verdictWords(verdict) : 'Cannot be judged yet',
      ratio: null,
    }
  }
  if (limit.slope === 0) return verdictFor(corrected, limit, corrected.budget, null, context)
  const candidates = [
    input.carrier,
    ...(input.carrier.from === 'carrier-power' ? [firstLineCarrier(step, context)] : []),
  ].flatMap(carrier => {
    const own =
      carrier &&
      (carrier === input.carrier
        ? limit
        : evaluateLimit(input.rulebook, carrierFacts(step, carrier.powerW), emissionOf(slot)))
    return carrier && own?.kind === 'limit' && own.slope !== 0
      ? [{ limit: own, ratio: ratioBudget(corrected, carrier, context) }]
      : []
  })
  const best = candidates.reduce((a, b) =>
    b.ratio.standardUncertaintyDb < a.ratio.standardUncertaintyDb ? b : a,
  )
  return verdictFor(corrected, best.limit, best.ratio, best.ratio, context)
}

/** A harmonic, or any other spur, as a rulebook sees it. */
export function emissionOf(slot: Slot): EmissionFacts {
  return { frequencyHz: slot.frequencyHz, harmonic: harmonicOf(slot.id) }
}

function ratioBudget(corrected: CorrectedReading, carrier: CarrierForLimit, context: StationContext): Budget {
  return carrier.contributions.length === 0
    ? corrected.budget
    : budget(ratioContributions(corrected.budget.contributions, carrier.contributions), context.distributions)
}

function verdictFor(
  corrected: CorrectedReading,
  limit: LimitFound,
  total: Budget,
  ratio: Budget | null,
  context: StationContext,
): Judged {
  const verdict = decide({
    valueDb: corrected.levelDbm,
    limitDb: limit.limitDbm,
    direction: 'upper',
    errors: context.distributions.of(total.contributions),
    isUpperBound: corrected.isUpperBound,
    rule: context.review.settings.decisionRule,
  })
  return {
    limit,
    verdict,
    ratio,
    get words() {
      return verdictWords(verdict)
    },
  }
}
