import { decide, verdictWithout, verdictWords } from '../../decision'
import { evaluateLimit } from '../../rules'
import { wattsFromDbm } from '../../quantity'
import { carrierFacts } from '../carrierFacts'
import type { JudgedBy, Step } from '../contract'
import type { CorrectedReading } from '../correctReading'
import type { StationContext } from '../stationContext'

/**
 * The power at the socket against the most each rulebook allows, the strictest first. Radiated limits (ERP)
 * need the
 * antenna's gain; without it they cannot be judged from the socket alone.
 */
export function judgeLawfulPower(
  step: Step,
  corrected: CorrectedReading,
  context: StationContext,
): JudgedBy[] {
  const judged = context.rulebooksOf(step.band).map((rulebook): JudgedBy => {
    const limit = evaluateLimit(
      rulebook,
      carrierFacts(step, wattsFromDbm(corrected.levelDbm)),
      undefined,
      'carrier-power',
    )
    if (limit.kind !== 'limit') {
      const verdict = verdictWithout(limit.kind === 'no-figure' ? 'no-figure' : 'not-covered', limit.reason)
      return {
        limit,
        verdict,
        words: limit.kind === 'no-figure' ? verdictWords(verdict) : 'Cannot be judged from the socket alone',
      }
    }
    const verdict = decide({
      valueDb: corrected.levelDbm,
      limitDb: limit.limitDbm,
      direction: 'upper',
      errors: context.distributions.of(corrected.budget.contributions),
      isUpperBound: corrected.isUpperBound,
      rule: context.review.settings.decisionRule,
    })
    return { limit, verdict, words: verdictWords(verdict) }
  })
  return judged.sort((a, b) => strictness(a) - strictness(b))
}

function strictness({ limit }: JudgedBy): number {
  if (limit.kind === 'limit') return limit.limitDbm
  if (limit.kind === 'cannot-judge') return 1e3
  return 1e4
}
