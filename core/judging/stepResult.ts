import { type Verdict, worstVerdict } from '../decision'
import { isRead, type Question, type SlotResult, type Step, type StepResult } from '../step'

/** What a step says besides its slots. */
export interface StepSummary {
  questions?: Question[]
  /** The step in one verdict and words, where the worst slot does not say it. */
  summary?: { verdict: Verdict; words: string } | null
}

/**
 * What a step came to, from its slots: the worst of what is asked for; optional slots count once they are
 * read.
 */
export function stepResultOf(
  step: Step,
  slots: SlotResult[],
  { questions = [], summary = null }: StepSummary = {},
): StepResult {
  const worst = worstVerdict(decisive(slots).map(member => ({ member, verdict: member.verdict })))!
  const needed = slots.filter(({ slot }) => !slot.optional)
  const anything = slots.some(isRead)
  return {
    step,
    slots,
    questions,
    offers: [],
    governs: anything ? worst.governs : null,
    verdict: summary?.verdict ?? worst.verdict,
    words: anything ? (summary?.words ?? worst.governs.words) : 'Not measured',
    progress: {
      read: needed.filter(isRead).length,
      possible: needed.filter(({ state }) => state !== 'out-of-reach').length,
    },
  }
}

/** The slots a step’s verdict is made of: what is judged, else what is asked for, else all. */
function decisive(slots: SlotResult[]): SlotResult[] {
  const asked = slots.filter(result => !result.slot.optional || isRead(result))
  const judged = asked.filter(({ verdict }) => verdict.state !== 'observation')
  if (judged.length > 0) return judged
  return asked.length > 0 ? asked : slots
}
