import {
  expectedTimes,
  type GoingOver,
  goingOversIn,
  isDone,
  isForTheRecord,
  learnedTimes,
  planRun,
  type Run,
  runKey,
} from '#core/plan'
import type { RadioSet } from '#core/review'
import { stationById } from '#core/station'
import { chainsKey, type Step, type StepResult } from '#core/step'

/** A step of the run as its table shows it. */
export interface RunRow {
  step: Step
  key: string
  /** Where it stands in the whole run, from 0. */
  place: number
  result: StepResult
  done: boolean
  /** Why it was left out; null where it was not. */
  skipped: string | null
  benchS: number
  keyDownS: number
  newChain: boolean
  newRadio: boolean
  forTheRecord: boolean
  /** The radio goes over to the other work before it; null where it stands ready. */
  goingOver: GoingOver | null
}

/** The run of some radios, and its steps as rows. */
export function useRunRows(sets: () => readonly RadioSet[], openOnly: () => boolean) {
  const store = useReviewStore()
  const run = computed<Run | null>(() => (store.context ? planRun(store.context, sets()) : null))
  const learned = computed(() => (store.review ? learnedTimes(store.review) : new Map()))

  const goingOvers = computed(() => goingOversIn(run.value?.steps ?? []))

  function rowOf(step: Step, place: number, before: Step | undefined): RunRow {
    const context = store.context!
    return {
      step,
      key: runKey(step),
      place,
      result: stationById(step.stationId).evaluate(step, context),
      done: isDone(step, context),
      skipped: context.skipReason(step),
      ...expectedTimes(step, learned.value),
      newChain: !before || chainsKey(before) !== chainsKey(step),
      newRadio: !before || before.set.id !== step.set.id,
      forTheRecord: isForTheRecord(step, context),
      goingOver: goingOvers.value.get(place) ?? null,
    }
  }

  const rows = computed<RunRow[]>(() => {
    if (!run.value || !store.context) return []
    const { steps } = run.value
    const all = steps.map((step, place) => rowOf(step, place, steps[place - 1]))
    return openOnly() ? all.filter(({ done }) => !done) : all
  })
  return { run, rows }
}
