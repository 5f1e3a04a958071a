import type { EmissionFacts, CarrierFacts, LimitAnswer, LimitFound, Rulebook } from './types'
import { evaluateLimit, type PowerQuantity } from './evaluateLimit'

/** What several rulebooks ask at once: the strictest, and each. */
export interface SeveralAnswers {
  strictest: LimitAnswer
  each: LimitAnswer[]
}

/**
 * Asks several rulebooks at once. The strictest limit holds; where none has a figure, what cannot be judged
 * comes before “no figure”, and the first one speaks.
 * @param rulebooks - one or more.
 */
export function evaluateSeveral(rulebooks: readonly Rulebook[], carrier: CarrierFacts, emission?: EmissionFacts, about: PowerQuantity = 'unwanted'): SeveralAnswers {
  const each = rulebooks.map(rulebook => evaluateLimit(rulebook, carrier, emission, about))
  const limits = each.filter((answer): answer is LimitFound => answer.kind === 'limit')
  const strictest = limits.length > 0
    ? limits.reduce((a, b) => (b.limitDbm < a.limitDbm ? b : a))
    : each.find(answer => answer.kind === 'cannot-judge') ?? each[0]!
  return { strictest, each }
}
