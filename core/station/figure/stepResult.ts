import { type Verdict, worstVerdict } from '../../decision'
import type { Question, SlotResult, Step, StepResult } from '../contract'
import { isRead } from './plainSlots'

/**
 * What a step came to, from its slots: the worst of what is asked for; optional slots count once they are
 * read.
 */
export function stepResultOf(
  step: Step,
  slots: SlotResult[],
  of: { questions?: Question[]; summary?: { verdict: Verdict; words: string } | null } = {},
): StepResult {
  const { questions = [], summary = null } = of
  const asked = slots.filter(result => !result.slot.optional || isRead(result))
  const judged = asked.filter(({ verdict }) => verdict.state !== 'observation')
  const worst = worstVerdict(
    (judged.length > 0 ? judged : asked.length > 0 ? asked : slots).map(result => ({
      member: result,
      verdict: result.verdict,
    })),
  )!
  const needed = slots.filter(({ slot }) => !slot.optional)
  const read = needed.filter(isRead).length
  const anything = slots.some(isRead)
  return {
    step,
    slots,
    questions,
    offers: [],
    governs: anything ? worst.governs : null,
    verdict: summary?.verdict ?? worst.verdict,
    words: !anything ? 'Not measured' : (summary?.words ?? worst.governs.words),
    progress: { read, possible: needed.filter(result => isRead(result) || result.missing === 'open').length },
  }
}
