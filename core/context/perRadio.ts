import equal from 'fast-deep-equal'
import type { RadioSet } from '../review'
import type { Context, StepPlaceId } from './context'

/** Makes a function of a step one that is worked out once, for as long as all it looks at is the same. */
export function perStep<Subject extends StepPlaceId, Value>(
  compute: (step: Subject, context: Context) => Value,
): (step: Subject, context: Context) => Value {
  return (step, context) => context.ofRadio(step.set.id, compute, step)
}

/**
 * The same of a plan. A step that says what it said before keeps its object: only the results on it are new when
 * a reading is kept.
 */
export function perRadio<Step extends StepPlaceId & { set: RadioSet }>(
  plan: (radio: RadioSet, context: Context) => Step[],
): (radio: RadioSet, context: Context) => Step[] {
  const planned = (radio: RadioSet, context: Context): Step[] => {
    const steps = plan(radio, context)
    const before = context.plansBefore(radio, planned) as Map<string, Step>
    const same = steps.map(step => {
      const known = before.get(step.id)
      return known && isSame(known, step) ? known : step
    })
    before.clear()
    for (const step of same) before.set(step.id, step)
    return same
  }
  return (radio, context) => context.ofRadio(radio.id, planned, radio)
}

/** The card is compared by identity: it is large, and any change of it is a new plan. */
function isSame<Step extends { set: RadioSet }>(a: Step, b: Step): boolean {
  if (a.set !== b.set) return false
  return equal({ ...a, set: null }, { ...b, set: null })
}
