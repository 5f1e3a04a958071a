import type { Context } from '../../../context'
import { entryOf } from '../../../cache'
import {
  decide,
  decideBetween,
  type DecisionRule,
  type LimitBetween,
  type Verdict,
  verdictWords,
} from '../../../decision'
import { antennaLines, withoutFigure } from '../../../judging'
import { dbmFromWatts } from '../../../quantity'
import type { SignalNature } from '../../../review'
import {
  type EmissionFacts,
  type LimitAnswer,
  type LimitFound,
  limitsOfCarrier,
  type LimitsOfCarrier,
  type Rulebook,
} from '../../../rules'
import { carrierFacts, type FoundLevel, type Judgement, type Slot, type Step } from '../../../step'
import { type Budget, budget, type Contribution, ratioContributions } from '../../../uncertainty'
import { type CarrierForLimit, claimOnlyWords } from '../carrierForLimit'
import { countedOtherwise, countedOtherwiseWords } from './countedOtherwise'
import { harmonicOf } from './harmonicSlots'
import { scaleLines } from './scaleLines'

/** A rulebook with its limits ready for the harmonics of one carrier, worked out once for all of them. */
export interface BookLimits {
  rulebook: Rulebook
  limits: LimitsOfCarrier
  /** The same for the least the carrier is taken for, where nobody has read it; null where it was read. */
  lowest: LimitsOfCarrier | null
  /** The same for the carrier as read in the ×1 line of the step; null where that is not read, or is the carrier. */
  firstLine: LimitsOfCarrier | null
  /** What it says where it has no figure, by its answer: the same of many harmonics, and made once. */
  silent: Map<LimitAnswer, Judgement>
}

/** Prepares a rulebook for the harmonics of a step. */
export function bookLimits(
  rulebook: Rulebook,
  { step, carrier, firstLine }: Pick<JudgedBy, 'step' | 'carrier' | 'firstLine'>,
  edges: readonly number[] | null,
): BookLimits {
  const limitsAt = (powerW: number) => limitsOfCarrier(rulebook, carrierFacts(step, powerW), edges)
  return {
    rulebook,
    limits: limitsAt(carrier.powerW),
    lowest: carrier.from === 'claim' ? limitsAt(carrier.lowestW) : null,
    firstLine: firstLine && limitsAt(firstLine.powerW),
    silent: new Map(),
  }
}

/** What the harmonics of one step are judged by. */
export interface JudgedBy {
  step: Step
  carrier: CarrierForLimit
  /** The carrier in the ×1 line, beside one that was read at the carrier power station. */
  firstLine: CarrierForLimit | null
  books: readonly BookLimits[]
  /** How the review decides: asked for once, for all of them. */
  rule: DecisionRule
}

/** A harmonic as it is judged. */
export interface HarmonicSeen {
  found: FoundLevel
  emission: EmissionFacts
  /** Bandwidth it was read in, Hz, and what the signal is, where anybody knows. */
  measuredHz: number | null
  nature: SignalNature | null
}

/**
 * Judges one corrected harmonic by one rulebook. Where the limit follows the carrier, the margin is a ratio:
 * what both readings share cancels, and the carrier's own uncertainty enters. It is taken from whichever carrier
 * leaves less open. Where a limit is only known to lie between two figures, it is judged at both.
 */
export function judgeHarmonic(
  seen: HarmonicSeen,
  book: BookLimits,
  by: JudgedBy,
  context: Context,
): Judgement {
  const { found, emission } = seen
  const limit = book.limits(emission)
  if (limit.kind !== 'limit')
    return entryOf(book.silent, limit, () => withoutFigure(limit, 'Cannot be judged yet'))
  const antenna = antennaLines(limit, by.step.band)
  if (limit.slope === 0) {
    const total = antenna.length > 0 ? withLines(found.budget, antenna, context) : found.budget
    return against({ limit, total, ratio: null }, seen, { book, by }, context)
  }
  const own: LimitAndRatio = { limit, ratio: ratioBudget({ found, carrier: by.carrier, antenna }, context) }
  const other = throughFirstLine({ found, emission, antenna }, book, by, context)
  const best = other && other.ratio.standardUncertainty < own.ratio.standardUncertainty ? other : own
  return against({ limit: best.limit, total: best.ratio, ratio: best.ratio }, seen, { book, by }, context)
}

interface LimitAndRatio {
  limit: LimitFound
  ratio: Budget
}

/** The same against the carrier in the ×1 line; null where that is not read, or its limit stands still. */
function throughFirstLine(
  {
    found,
    emission,
    antenna,
  }: Pick<HarmonicSeen, 'found' | 'emission'> & { antenna: readonly Contribution[] },
  book: BookLimits,
  by: JudgedBy,
  context: Context,
): LimitAndRatio | null {
  const limit = book.firstLine?.(emission)
  if (!by.firstLine || limit?.kind !== 'limit' || limit.slope === 0) return null
  return { limit, ratio: ratioBudget({ found, carrier: by.firstLine, antenna }, context) }
}

/** A harmonic, or any other spur, as a rulebook sees it. */
export function emissionOf(slot: Slot): EmissionFacts {
  return { frequencyHz: slot.frequencyHz, harmonic: harmonicOf(slot) }
}

function ratioBudget(
  {
    found,
    carrier,
    antenna,
  }: { found: FoundLevel; carrier: CarrierForLimit; antenna: readonly Contribution[] },
  context: Context,
): Budget {
  const own = found.budget.contributions
  if (carrier.contributions.length === 0 && antenna.length === 0) return found.budget
  const levelsDb = dbmFromWatts(carrier.powerW) - found.value
  const scale = scaleLines(carrier.contributions, own, levelsDb, context)
  return budget(
    [...ratioContributions(own, carrier.contributions), ...antenna, ...scale],
    context.distributions,
  )
}

const withLines = (total: Budget, lines: readonly Contribution[], context: Context): Budget =>
  budget([...total.contributions, ...lines], context.distributions)

interface LimitAndBudget {
  limit: LimitFound
  total: Budget
  ratio: Budget | null
}

function against(
  { limit, total, ratio }: LimitAndBudget,
  seen: HarmonicSeen,
  { book, by }: { book: BookLimits; by: JudgedBy },
  context: Context,
): Judgement {
  const { found } = seen
  const decided = {
    value: found.value,
    direction: 'upper' as const,
    errors: context.distributions.of(total.contributions),
    isUpperBound: found.isUpperBound,
    rule: by.rule,
  }
  const between = limitBetween(limit, seen, { book, by })
  const verdict = between ? decideBetween(decided, between) : decide({ ...decided, limit: limit.limitDbm })
  return new HarmonicJudgement(limit, verdict, ratio)
}

/** The two figures a limit may lie between, as the reading counts; null where it is one figure, and counts alike. */
function limitBetween(
  limit: LimitFound,
  { emission, measuredHz, nature }: HarmonicSeen,
  { book, by }: { book: BookLimits; by: JudgedBy },
): LimitBetween | null {
  const least = book.lowest?.(emission)
  const lowestDbm = least?.kind === 'limit' ? least.limitDbm : limit.limitDbm
  const counted = countedOtherwise(limit.referenceBandwidthHz, { measuredHz, nature, emission })
  const [lessDb, moreDb] = counted?.noiseReadsDb ?? [0, 0]
  if (lowestDbm === limit.limitDbm && lessDb === 0 && moreDb === 0) return null
  return {
    lowest: Math.min(lowestDbm, limit.limitDbm) - moreDb,
    highest: Math.max(lowestDbm, limit.limitDbm) - lessDb,
    why: [
      ...(lowestDbm === limit.limitDbm ? [] : [claimOnlyWords(by.carrier.powerW)]),
      ...(counted && (lessDb !== 0 || moreDb !== 0) ? [countedOtherwiseWords(counted)] : []),
    ].join(' '),
  }
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
