import { type Verdict, verdictWithout } from '../decision'
import type { Judgement, Step, StepResult } from '../step'
import { worstVerdict } from '../decision'

/** Why a station has no answer for a set: it is not on the set, was left out, or is still open. */
export type AnswerGap = 'not-on-set' | 'left-out' | 'open'

/** What one rulebook says of a question. */
export interface RulebookAnswer {
  title: string
  verdict: Verdict
  words: string
}

/** How a station is summed up for one set and one row of the findings. */
export interface StationAnswer {
  verdict: Verdict
  words: string
  /** Second line: which member governs, what was left out. */
  detail: string
  /** null where it is answered. */
  gap: AnswerGap | null
  governs: { step: Step; slotId: string } | null
  /** What each rulebook says, where there are several. */
  each: RulebookAnswer[]
  results: StepResult[]
}

/** An answer that rests on nothing read. */
export function noAnswer(
  gap: AnswerGap,
  reason: { why: string; words: string; detail?: string; results?: StepResult[] },
): StationAnswer {
  return {
    verdict: verdictWithout('not-covered', reason.why),
    words: reason.words,
    detail: reason.detail ?? '',
    gap,
    governs: null,
    each: [],
    results: reason.results ?? [],
  }
}

/** What each rulebook says of many judgements, where there is more than one: the worst of its own. */
export function sumByRulebook(judgements: readonly Judgement[]): RulebookAnswer[] {
  const titles = [...new Set(judgements.map(({ limit }) => limit.rulebook.title))]
  if (titles.length < 2) return []
  return titles.map(title => {
    const own = judgements.filter(({ limit }) => limit.rulebook.title === title)
    const worst = worstVerdict(own.map(member => ({ member, verdict: member.verdict })))!
    return { title, verdict: worst.verdict, words: worst.governs.words }
  })
}
