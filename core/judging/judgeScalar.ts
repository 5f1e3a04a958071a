import type { Context } from '../context'
import { decide, type LimitDirection, type Verdict, verdictWords } from '../decision'
import type { FigureReading } from '../review'
import {
  evaluateScalar,
  type PowerQuantity,
  type Quantity,
  type ReceiverMethod,
  type Rulebook,
  type ScalarLimit,
  speaksOf,
} from '../rules'
import {
  carrierFacts,
  type Found,
  type Judgement,
  powerToExpect,
  type Slot,
  type SlotResult,
  type Step,
} from '../step'
import { governingOf, withoutFigure } from './byRulebooks'
import { foundFigure, type OwnContribution } from './foundFigure'
import { NOTHING } from './slotResults'

/** How a figure is judged by the clauses on a quantity. */
export interface ScalarJudging {
  about: Exclude<Quantity, PowerQuantity>
  /** It is an error around nought: “at most” then holds on both sides. */
  isError?: boolean
  own: readonly OwnContribution[]
  /** Figure that is judged where it is not the one read: an error instead of a frequency. */
  value?: number
  notes: readonly string[]
  /** What stands beside the verdict when there is no figure in law. */
  wordsWithout: string
}

/** A limit in the figure’s unit: kHz and ppm become Hz. */
function limitInUnit(value: number, unit: ScalarLimit['unit'], carrierHz: number): number {
  if (unit === 'kHz') return value * 1e3
  return unit === 'ppm' ? value * 1e-6 * carrierHz : value
}

/** Upper end of a scalar limit in the figure’s unit, for drawings. */
export function limitInHz(limit: ScalarLimit, carrierHz: number): number {
  return limitInUnit(limit.to ?? limit.value, limit.unit, carrierHz)
}

/** Judges a figure by every rulebook of the band; the gravest governs. The limit says the direction. */
export function judgeScalar(
  place: { step: Step; slot: Slot; reading: FigureReading },
  judging: ScalarJudging,
  context: Context,
): SlotResult {
  const { step, slot, reading } = place
  const found = foundFigure(reading, { own: judging.own, value: judging.value }, context)
  const each = scalarJudgements(step, found, judging, context)
  const judged = governingOf(each)
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found,
    limit: judged.limit,
    verdict: judged.verdict,
    words: judged.verdict.state === 'no-figure' ? judging.wordsWithout : judged.words,
    each,
    notes: [...judging.notes, ...(reading.seen.method ? [reading.seen.method] : [])],
  }
}

/** What is judged by the clauses on a quantity, and how it was come by. */
export interface ScalarSubject extends Pick<ScalarJudging, 'about' | 'isError'> {
  method?: ReceiverMethod
  /** Rulebooks without any clause on it are passed over, instead of saying that they have none. */
  passSilent?: boolean
}

/** What each rulebook of the band says of a figure; the limit says the direction. */
export function scalarJudgements(
  step: Step,
  found: Found,
  { about, isError = false, method, passSilent = false }: ScalarSubject,
  context: Context,
): Judgement[] {
  const all = context.rulebooksOf(step.band)
  const books = passSilent ? all.filter(rulebook => speaksOf(rulebook, about)) : all
  return books.map(rulebook => judgedBy(rulebook, step, { found, about, isError, method }, context))
}

/** What the reviewer’s own yardstick says of a figure; null where it is off, or says nothing. */
export function yardstickScalar(
  step: Step,
  found: Found,
  { about, isError = false, method }: ScalarSubject,
  context: Context,
): Judgement | null {
  if (!context.yardstick) return null
  const judged = judgedBy(context.yardstick, step, { found, about, isError, method }, context)
  return judged.limit.kind === 'scalar' ? judged : null
}

function judgedBy(
  rulebook: Rulebook,
  step: Step,
  {
    found,
    about,
    isError,
    method,
  }: { found: Found } & Required<Pick<ScalarJudging, 'about' | 'isError'>> & Pick<ScalarSubject, 'method'>,
  context: Context,
): Judgement {
  const carrier = carrierFacts(step, powerToExpect(step.set, step.claim).powerW)
  const facts = method ? { ...carrier, method } : carrier
  const limit = evaluateScalar(rulebook, about, facts)
  if (limit.kind !== 'scalar') return withoutFigure(limit, 'Cannot be judged yet')
  const verdict = verdictAgainst(found, limit.limit, { step, isError }, context)
  return { limit, verdict, words: verdictWords(verdict), ratio: null }
}

/** Where a figure must lie: on one side of a limit, or within a half-width around a middle. */
interface Demanded {
  direction: LimitDirection
  limit: number
  around: number
}

function verdictAgainst(
  found: Found,
  limit: ScalarLimit,
  subject: { step: Step; isError: boolean },
  context: Context,
): Verdict {
  const { direction, limit: figure, around } = demandedOf(limit, subject)
  return decide({
    value: found.value - around,
    limit: figure,
    direction,
    errors: context.distributions.of(found.budget.contributions),
    isUpperBound: found.isUpperBound,
    rule: context.review.settings.decisionRule,
    unit: found.unit,
  })
}

function demandedOf(limit: ScalarLimit, { step, isError }: { step: Step; isError: boolean }): Demanded {
  const inUnit = (value: number) => limitInUnit(value, limit.unit, step.channel.frequencyHz)
  const from = inUnit(limit.value)
  switch (limit.kind) {
    case 'at-most':
      return { direction: isError ? 'both' : 'upper', limit: from, around: 0 }
    case 'at-least':
      return { direction: 'lower', limit: from, around: 0 }
    case 'within': {
      const to = inUnit(limit.to ?? limit.value)
      return { direction: 'both', limit: (to - from) / 2, around: (from + to) / 2 }
    }
  }
}
