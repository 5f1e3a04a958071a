import { decide, type Verdict, verdictWithout, verdictWords } from '../../decision'
import { evaluateLimit, type LimitAnswer, type LimitFound, type Rulebook } from '../../rules'
import { type Budget, budget, ratioContributions } from '../../uncertainty'
import { carrierFacts } from '../carrierFacts'
import type { Slot, Step } from '../contract'
import type { CorrectedReading } from '../correctReading'
import type { StationContext } from '../stationContext'
import { type CarrierForLimit, firstLineCarrier } from './carrierForLimit'

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
}

/**
 * Judges one corrected harmonic by one rulebook. Where the limit follows the carrier, the margin is a ratio: what both
 * readings share cancels, and the carrier's own uncertainty enters. It is taken from whichever carrier leaves less open.
 */
export function judgeHarmonic(corrected: CorrectedReading, input: JudgeHarmonicInput): Judged {
  const { context, step } = input
  const limit = limitFor(input, input.carrier)
  if (limit.kind !== 'limit') {
    const verdict = verdictWithout(limit.kind === 'no-figure' ? 'no-figure' : 'not-covered', limit.reason)
    return { limit, verdict, words: limit.kind === 'no-figure' ? verdictWords(verdict) : 'Cannot be judged yet', ratio: null }
  }
  if (limit.slope === 0) return { ...verdictFor(corrected, limit, corrected.budget, context), ratio: null }
  const candidates = [input.carrier, ...(input.carrier.from === 'carrier-power' ? [firstLineCarrier(step, context)] : [])].flatMap((carrier) => {
    const own = carrier && limitFor(input, carrier)
    return carrier && own?.kind === 'limit' && own.slope !== 0 ? [{ limit: own, ratio: ratioBudget(corrected, carrier, context) }] : []
  })
  const best = candidates.reduce((a, b) => (b.ratio.standardUncertaintyDb < a.ratio.standardUncertaintyDb ? b : a))
  return { ...verdictFor(corrected, best.limit, best.ratio, context), ratio: best.ratio }
}

function limitFor({ rulebook, step, slot }: JudgeHarmonicInput, carrier: CarrierForLimit): LimitAnswer {
  return evaluateLimit(rulebook, carrierFacts(step, carrier.powerW), { frequencyHz: slot.frequencyHz, harmonic: Number(slot.id.slice(1)) })
}

function ratioBudget(corrected: CorrectedReading, carrier: CarrierForLimit, context: StationContext): Budget {
  return carrier.contributions.length === 0 ? corrected.budget : budget(ratioContributions(corrected.budget.contributions, carrier.contributions), context.distributions)
}

function verdictFor(corrected: CorrectedReading, limit: LimitFound, total: Budget, context: StationContext): Pick<Judged, 'limit' | 'verdict' | 'words'> {
  const verdict = decide({
    valueDb: corrected.levelDbm, limitDb: limit.limitDbm, direction: 'upper', errors: context.distributions.of(total.contributions),
    isUpperBound: corrected.isUpperBound, rule: context.review.settings.decisionRule,
  })
  return { limit, verdict, words: verdictWords(verdict) }
}
