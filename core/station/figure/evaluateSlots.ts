import type { Verdict } from '../../decision'
import type { Question, Slot, SlotResult, Step, StepResult } from '../contract'
import type { StationContext } from '../stationContext'
import { stepDependencies } from '../stepDependencies'
import { stepResultOf } from './stepResult'

/** Works out every slot of a step once, as long as nothing it depends on changes, and sums the step up. */
export function evaluateSlots(
  step: Step,
  context: StationContext,
  of: {
    slot: (slot: Slot) => SlotResult
    ask?: (slots: readonly SlotResult[]) => Question[]
    /** The step in one verdict and words, where the worst slot does not say it. */
    summary?: (slots: readonly SlotResult[]) => { verdict: Verdict; words: string } | null
    dependsOn?: readonly unknown[]
  },
): StepResult {
  return context.reuse(step, [...stepDependencies(step, context), ...(of.dependsOn ?? [])], () => {
    const slots = step.slots.map(of.slot)
    return stepResultOf(step, slots, {
      questions: of.ask?.(slots) ?? [],
      summary: of.summary?.(slots) ?? null,
    })
  })
}
