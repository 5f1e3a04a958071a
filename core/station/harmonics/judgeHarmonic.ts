import { decide, type Verdict, verdictWithout, verdictWords } from '../../decision'
import { evaluateLimit, type LimitAnswer, type Rulebook } from '../../rules'
import { budget, contribution } from '../../uncertainty'
import type { CorrectedReading } from '../correctReading'
import type { StationContext } from '../stationContext'
import type { CarrierForLimit } from './carrierForLimit'

/** A limit and the verdict against it. */
export interface Judged {
  limit: LimitAnswer
  verdict: Verdict
  words: string
}

/**
 * Judges one corrected harmonic by one rulebook. Where the limit follows the carrier, the carrier's own
 * uncertainty is part of the margin's.
 */
export function judgeHarmonic(corrected: CorrectedReading, input: { rulebook: Rulebook; carrierHz: number; carrier: CarrierForLimit; context: StationContext }): Judged {
  const limit = evaluateLimit(input.rulebook, { frequencyHz: input.carrierHz, powerW: input.carrier.powerW })
  if (limit.kind === 'no-figure') {
    const verdict = verdictWithout('no-figure', limit.reason)
    return { limit, verdict, words: verdictWords(verdict) }
  }
  const total = limit.slope === 0 || input.carrier.standardUncertaintyDb === 0
    ? corrected.budget
    : budget([...corrected.budget.contributions, contribution({
      id: 'carrier', group: 'carrier', label: 'Carrier the limit follows', distribution: 'normal',
      halfWidthDb: 2 * input.carrier.standardUncertaintyDb * limit.slope,
    })])
  const verdict = decide({
    valueDb: corrected.levelDbm, limitDb: limit.limitDbm, direction: 'upper',
    standardUncertaintyDb: total.standardUncertaintyDb, degreesOfFreedom: total.effectiveDegreesOfFreedom, coverageFactor: total.coverageFactor,
    isUpperBound: corrected.isUpperBound, rule: input.context.review.settings.decisionRule,
  })
  return { limit, verdict, words: verdictWords(verdict) }
}
