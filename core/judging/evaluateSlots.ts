import type { Context } from '../context'
import type { Question, Slot, SlotResult, Step, StepResult } from '../step'
import { stepResultOf, type StepSummary } from './stepResult'

/** How a step is worked out, slot by slot. */
export interface SlotEvaluation {
  slot: (slot: Slot) => SlotResult
  ask?: (slots: readonly SlotResult[]) => Question[]
  /** The step in one verdict and words, where the worst slot does not say it. */
  summary?: (slots: readonly SlotResult[]) => StepSummary['summary']
}

/** Works out every slot of a step once, as long as nothing that was asked for it changes, and sums it up. */
export function evaluateSlots(step: Step, context: Context, evaluation: SlotEvaluation): StepResult {
  return evaluateOnce(step, context, () => {
    const slots = step.slots.map(evaluation.slot)
    return stepResultOf(step, slots, {
      questions: evaluation.ask?.(slots) ?? [],
      summary: evaluation.summary?.(slots) ?? null,
    })
  })
}

/** Works a step out once, as long as nothing that was asked for it changes. */
export function evaluateOnce(step: Step, context: Context, evaluate: () => StepResult): StepResult {
  return context.derive(step, 'result', evaluate)
}
