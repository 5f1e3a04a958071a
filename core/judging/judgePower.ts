import type { Context } from '../context'
import { decide, decideBetween, type DecideInput, isGraver, type Verdict, verdictWords } from '../decision'
import { dbmFromWatts } from '../quantity'
import type { EmissionFacts, LimitFound, PowerQuantity, Rulebook } from '../rules'
import { evaluateLimit } from '../rules'
import { carrierFacts, type Found, type Judgement, type Step } from '../step'
import { budget, type Budget, type Contribution } from '../uncertainty'
import { antennaLines } from './antennaGain'
import { withoutFigure } from './byRulebooks'

/** A power judged by the clauses on a quantity. */
export interface PowerJudging {
  about: PowerQuantity
  /** Power of the carrier the limit is for, W: as read, or only known to lie between two figures. */
  carrierW: number | { lowestW: number; highestW: number; why: string }
  emission?: EmissionFacts
  /** The figure is a ratio to that carrier, of which so much is left open. */
  isRatio?: boolean
  carrierLines?: readonly Contribution[]
  /** What is said where a clause cannot be applied. */
  cannotWords: string
}

/** Judges a power, or a ratio to one, by every rulebook of the band. */
export function judgePower(step: Step, found: Found, judging: PowerJudging, context: Context): Judgement[] {
  return context
    .rulebooksOf(step.band)
    .map(rulebook => judgeBy(rulebook, step, { ...judging, found }, context))
}

type Judging = PowerJudging & { found: Found }

function judgeBy(rulebook: Rulebook, step: Step, judging: Judging, context: Context): Judgement {
  const { found, cannotWords, carrierW } = judging
  const [lowestW, highestW] =
    typeof carrierW === 'number' ? [carrierW, carrierW] : [carrierW.lowestW, carrierW.highestW]
  const limit = limitFor(highestW, { rulebook, step, judging })
  if (limit.kind !== 'limit') return withoutFigure(limit, cannotWords)
  const ratio = budgetOf(limit, step, judging, context)
  const decided = {
    value: found.value,
    direction: 'upper' as const,
    errors: context.distributions.of((ratio ?? found.budget).contributions),
    isUpperBound: found.isUpperBound,
    rule: context.review.settings.decisionRule,
  }
  const asCounted = ({ limitDbm }: LimitFound, watts: number) =>
    judging.isRatio ? limitDbm - dbmFromWatts(watts) : limitDbm
  const other = typeof carrierW === 'number' ? limit : limitFor(lowestW, { rulebook, step, judging })
  if (typeof carrierW === 'number' || other.kind !== 'limit') {
    const upper = decide({ ...decided, limit: asCounted(limit, highestW) })
    const verdict = limit.lowestDbm === null ? upper : graver(upper, atLeast(limit.lowestDbm, decided))
    return { limit, verdict, words: verdictWords(verdict), ratio }
  }
  const ends = [asCounted(limit, highestW), asCounted(other, lowestW)]
  const verdict = decideBetween(decided, {
    lowest: Math.min(...ends),
    highest: Math.max(...ends),
    why: carrierW.why,
  })
  return { limit, verdict, words: verdictWords(verdict), ratio }
}

/** Not less than a least power either. */
function atLeast(lowestDbm: number, decided: Omit<DecideInput, 'limit' | 'direction'>): Verdict {
  return decide({ ...decided, limit: lowestDbm, direction: 'lower' })
}

/** Of two ends that must both hold the one that says more; where both do, the one with less room. */
function graver(one: Verdict, other: Verdict): Verdict {
  if (isGraver(other, one)) return other
  if (isGraver(one, other)) return one
  return other.margin! < one.margin! ? other : one
}

function limitFor(
  powerW: number,
  { rulebook, step, judging }: { rulebook: Rulebook; step: Step; judging: Judging },
) {
  return evaluateLimit(rulebook, carrierFacts(step, powerW), judging.emission, judging.about)
}

/**
 * The budget of the margin where it is not the figure’s own: a ratio held against a limit that stands still hangs on
 * the carrier as well, and radiated power on the antenna. null where it is the figure’s own.
 */
function budgetOf(
  limit: LimitFound,
  step: Step,
  { found, isRatio, carrierLines = [] }: Judging,
  context: Context,
): Budget | null {
  const carrier = isRatio && limit.slope === 0 ? carrierLines : []
  const lines = [
    ...carrier.map(line => ({ ...line, id: `carrier:${line.id}`, label: `${line.label}, carrier` })),
    ...antennaLines(limit, step.band),
  ]
  return lines.length === 0 ? null : budget([...found.budget.contributions, ...lines], context.distributions)
}
