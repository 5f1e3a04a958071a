import type { Context } from '../../../context'
import { kept } from '../../../derive'
import { decide, type Verdict, verdictWords } from '../../../decision'
import { withoutFigure } from '../../../judging'
import {
  type EmissionFacts,
  evaluateLimit,
  type LimitAnswer,
  type LimitFound,
  type LimitsOfCarrier,
  type Rulebook,
} from '../../../rules'
import { carrierFacts, type FoundLevel, type Judgement, type Slot, type Step } from '../../../step'
import { type Budget, budget, ratioContributions } from '../../../uncertainty'
import { type CarrierForLimit, firstLineCarrier } from '../carrierForLimit'
import { harmonicOf } from './harmonicSlots'

/** A rulebook with its limits ready for the harmonics of one carrier, worked out once for all of them. */
export interface BookLimits {
  rulebook: Rulebook
  limits: LimitsOfCarrier
  /** What it says where it has no figure, by its answer: the same of many harmonics, and made once. */
  silent: Map<LimitAnswer, Judgement>
}

/** What the harmonics of one step are judged by. */
export interface JudgedBy {
  step: Step
  carrier: CarrierForLimit
  books: readonly BookLimits[]
}

/**
 * Judges one corrected harmonic by one rulebook. Where the limit follows the carrier, the margin is a ratio:
 * what both
 * readings share cancels, and the carrier's own uncertainty enters. It is taken from whichever carrier leaves
 * less open.
 */
export function judgeHarmonic(
  { found, emission }: { found: FoundLevel; emission: EmissionFacts },
  book: BookLimits,
  by: JudgedBy,
  context: Context,
): Judgement {
  const limit = book.limits(emission)
  if (limit.kind !== 'limit')
    return kept(book.silent, limit, () => withoutFigure(limit, 'Cannot be judged yet'))
  if (limit.slope === 0) return against({ limit, total: found.budget, ratio: null }, found, context)
  const candidates = [
    by.carrier,
    ...(by.carrier.from === 'carrier-power' ? [firstLineCarrier(by.step, context)] : []),
  ].flatMap(carrier => {
    const own =
      carrier &&
      (carrier === by.carrier
        ? limit
        : evaluateLimit(book.rulebook, carrierFacts(by.step, carrier.powerW), emission))
    return carrier && own?.kind === 'limit' && own.slope !== 0
      ? [{ limit: own, ratio: ratioBudget(found, carrier, context) }]
      : []
  })
  const best = candidates.reduce((a, b) =>
    b.ratio.standardUncertainty < a.ratio.standardUncertainty ? b : a,
  )
  return against({ limit: best.limit, total: best.ratio, ratio: best.ratio }, found, context)
}

/** A harmonic, or any other spur, as a rulebook sees it. */
export function emissionOf(slot: Slot): EmissionFacts {
  return { frequencyHz: slot.frequencyHz, harmonic: harmonicOf(slot) }
}

function ratioBudget(found: FoundLevel, carrier: CarrierForLimit, context: Context): Budget {
  return carrier.contributions.length === 0
    ? found.budget
    : budget(ratioContributions(found.budget.contributions, carrier.contributions), context.distributions)
}

function against(
  { limit, total, ratio }: { limit: LimitFound; total: Budget; ratio: Budget | null },
  found: FoundLevel,
  context: Context,
): Judgement {
  const verdict = decide({
    value: found.value,
    limit: limit.limitDbm,
    direction: 'upper',
    errors: context.distributions.of(total.contributions),
    isUpperBound: found.isUpperBound,
    rule: context.review.settings.decisionRule,
  })
  return new HarmonicJudgement(limit, verdict, ratio)
}

/** Words are made when somebody reads them: harmonics are judged by the ten thousand. */
class HarmonicJudgement implements Judgement {
  constructor(
    readonly limit: LimitFound,
    readonly verdict: Verdict,
    readonly ratio: Budget | null,
  ) {}

  get words() {
    return verdictWords(this.verdict)
  }
}
