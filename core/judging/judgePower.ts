import type { Context } from '../context'
import { decide, verdictWords } from '../decision'
import type { EmissionFacts, PowerQuantity, Rulebook } from '../rules'
import { evaluateLimit } from '../rules'
import { carrierFacts, type Found, type Judgement, type Step } from '../step'
import { withoutFigure } from './byRulebooks'

/** A power judged by the clauses on a quantity. */
export interface PowerJudging {
  about: PowerQuantity
  /** Power of the carrier the limit is for, W. */
  carrierW: number
  emission?: EmissionFacts
  /** Where the figure counts from, dBm: a limit in dBm less this is the limit in the figure’s own count. */
  fromDbm?: number
  /** What is said where a clause cannot be applied. */
  cannotWords: string
}

/** Judges a power, or a ratio to one, by every rulebook of the band. */
export function judgePower(step: Step, found: Found, judging: PowerJudging, context: Context): Judgement[] {
  return context
    .rulebooksOf(step.band)
    .map(rulebook => judgeBy(rulebook, step, { ...judging, found }, context))
}

function judgeBy(
  rulebook: Rulebook,
  step: Step,
  { found, about, carrierW, emission, fromDbm = 0, cannotWords }: PowerJudging & { found: Found },
  context: Context,
): Judgement {
  const limit = evaluateLimit(rulebook, carrierFacts(step, carrierW), emission, about)
  if (limit.kind !== 'limit') return withoutFigure(limit, cannotWords)
  const verdict = decide({
    value: found.value,
    limit: limit.limitDbm - fromDbm,
    direction: 'upper',
    errors: context.distributions.of(found.budget.contributions),
    isUpperBound: found.isUpperBound,
    rule: context.review.settings.decisionRule,
  })
  return { limit, verdict, words: verdictWords(verdict), ratio: null }
}
