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
export function evaluateSeveral(
  rulebooks: readonly Rulebook[],
  carrier: CarrierFacts,
  emission?: EmissionFacts,
  about: PowerQuantity = 'unwanted',
): SeveralAnswers {
  const each = rulebooks.map(rulebook => evaluateLimit(rulebook, carrier, emission, about))
  return { strictest: strictestOf(each), each }
}

/**
 * The answer that holds of several: the strictest limit; without one, what cannot be judged before what has
 * no figure.
 */
export function strictestOf(each: readonly LimitAnswer[]): LimitAnswer {
  const limits = each.filter((answer): answer is LimitFound => answer.kind === 'limit')
  return limits.length > 0
    ? limits.reduce((a, b) => (b.limitDbm < a.limitDbm ? b : a))
    : (each.find(answer => answer.kind === 'cannot-judge') ?? each[0]!)
}
