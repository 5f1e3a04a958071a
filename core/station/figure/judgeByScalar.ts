import {
  decide,
  isGraver,
  type LimitDirection,
  type Verdict,
  verdictWithout,
  verdictWords,
} from '../../decision'
import type { FigureReading } from '../../review'
import { evaluateScalar, type PowerQuantity, type Quantity, type ScalarLimit } from '../../rules'
import { carrierFacts } from '../carrierFacts'
import type { FigureResult, JudgedBy, Slot, SlotResult, Step } from '../contract'
import { powerToExpect } from '../stepBasics'
import type { StationContext } from '../stationContext'
import { figureResult, type OwnContribution } from './figureResult'

export interface ScalarJudging {
  about: Exclude<Quantity, PowerQuantity>
  direction: Exclude<LimitDirection, 'lower'>
  own: readonly OwnContribution[]
  /** Figure that is judged where it is not the one read: an error instead of a frequency. */
  value?: number
  notes: readonly string[]
  /** What stands beside the verdict when there is no figure in law. */
  wordsWithout: string
}

/** A limit in the figure’s unit: kHz and ppm become Hz. */
export function limitInHz(limit: ScalarLimit, carrierHz: number): number {
  if (limit.unit === 'kHz') return limit.value * 1e3
  if (limit.unit === 'ppm') return limit.value * 1e-6 * carrierHz
  return limit.value
}

/** Judges a frequency-like figure by every rulebook of the band; the gravest governs. */
export function judgeByScalar(
  step: Step,
  slot: Slot,
  reading: FigureReading,
  of: ScalarJudging,
  context: StationContext,
): SlotResult {
  const facts = carrierFacts(step, powerToExpect(step.set, step.claim).powerW)
  let governing: { judged: JudgedBy; figure: FigureResult } | null = null
  const each = context.rulebooksOf(step.band).map((rulebook): JudgedBy => {
    const limit = evaluateScalar(rulebook, of.about, facts)
    if (limit.kind !== 'scalar') {
      const verdict = verdictWithout(limit.kind === 'no-figure' ? 'no-figure' : 'not-covered', limit.reason)
      return {
        limit,
        verdict,
        words: limit.kind === 'no-figure' ? verdictWords(verdict) : 'Cannot be judged yet',
      }
    }
    const figure = figureResult(
      reading,
      { own: of.own, limit: limitInHz(limit.limit, step.channel.frequencyHz), value: of.value },
      context,
    )
    const verdict = verdictAgainst(
      figure,
      limitInHz(limit.limit, step.channel.frequencyHz),
      of.direction,
      context,
    )
    const judged = { limit, verdict, words: verdictWords(verdict) }
    if (!governing || isGraver(verdict, governing.judged.verdict)) governing = { judged, figure }
    return judged
  })
  const found = governing as { judged: JudgedBy; figure: FigureResult } | null
  const other = each.find(({ limit }) => limit.kind === 'cannot-judge') ?? each[0]!
  const judged = found?.judged ?? other
  return {
    slot,
    reading: null,
    corrected: null,
    figure: found?.figure ?? figureResult(reading, { own: of.own, limit: null, value: of.value }, context),
    limit: judged.limit,
    verdict: judged.verdict,
    words: judged.verdict.state === 'no-figure' ? of.wordsWithout : judged.words,
    each,
    yardstick: null,
    ratio: null,
    notes: [...of.notes, ...(reading.method ? [reading.method] : [])],
    missing: null,
  }
}

function verdictAgainst(
  figure: FigureResult,
  limit: number,
  direction: Exclude<LimitDirection, 'lower'>,
  context: StationContext,
): Verdict {
  const perDb = figure.scale?.perDb ?? 1
  return decide({
    valueDb: figure.value / perDb,
    limitDb: limit / perDb,
    direction,
    errors: context.distributions.of(figure.budget.contributions),
    isUpperBound: figure.isUpperBound,
    rule: context.review.settings.decisionRule,
    ...(figure.scale && { scale: figure.scale }),
  })
}
