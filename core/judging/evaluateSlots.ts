import type { Question, Slot, SlotResult, Step, StepResult } from '../step'
import { stepResultOf, type StepSummary } from './stepResult'

/** How a step is worked out, slot by slot. */
export interface SlotEvaluation {
  slot: (slot: Slot) => SlotResult
  ask?: (slots: readonly SlotResult[]) => Question[]
  /** The step in one verdict and words, where the worst slot does not say it. */
  summary?: (slots: readonly SlotResult[]) => StepSummary['summary']
}

/** Works out every slot of a step, and sums it up. */
export function evaluateSlots(step: Step, evaluation: SlotEvaluation): StepResult {
  const slots = step.slots.map(evaluation.slot)
  return stepResultOf(step, slots, {
    questions: evaluation.ask?.(slots) ?? [],
    summary: evaluation.summary?.(slots) ?? null,
  })
}
