import {
  type GoingOver,
  goingOversIn,
  type Run,
  runInSlices,
  runKey,
  runState,
  type RunState,
} from '#core/plan'
import type { RadioSet } from '#core/review'
import { chainsKey, type Step } from '#core/step'
import { isSmallReview } from '~/largeReview'

/** A step of the run as its table lists it; what it came to is worked out where it is seen. */
export interface RunRow {
  step: Step
  key: string
  /** Where it stands in the whole run, from 0. */
  place: number
  newChain: boolean
  newRadio: boolean
  /** The radio goes over to the other work before it; null where it stands ready. */
  goingOver: GoingOver | null
}

/** The run of some radios, its steps as rows, and what of it is done: of a large review that is counted in slices. */
export function useRunRows(sets: () => readonly RadioSet[], openOnly: () => boolean) {
  const store = useReviewStore()
  const planned = useSliced<Run>(() => {
    const { context, review } = store
    if (!context || !review) return null
    const work = runInSlices(context, sets())
    return { work, isSmall: isSmallReview(review), after: store.savedSoon() }
  })
  const run = planned.value

  const counted = useSliced<RunState>(() => {
    const { context, review } = store
    if (!run.value || !review || !context) return null
    const work = runState(run.value.steps, context)
    return { work, isSmall: isSmallReview(review), after: store.savedSoon() }
  })
  const state = counted.value

  const goingOvers = computed(() => goingOversIn(run.value?.steps ?? []))

  function rowOf(step: Step, place: number, before: Step | undefined): RunRow {
    return {
      step,
      key: runKey(step),
      place,
      newChain: !before || chainsKey(before) !== chainsKey(step),
      newRadio: !before || before.set.id !== step.set.id,
      goingOver: goingOvers.value.get(place) ?? null,
    }
  }

  const all = computed<RunRow[]>(() => {
    const steps = run.value?.steps ?? []
    return steps.map((step, place) => rowOf(step, place, steps[place - 1]))
  })
  const isOpen = ({ step }: RunRow): boolean => !state.value?.done.has(step)
  const rows = computed(() => (openOnly() && state.value ? all.value.filter(isOpen) : all.value))
  const next = computed(() => (state.value ? (rows.value.find(isOpen) ?? null) : null))
  const share = computed(() => planned.share.value ?? counted.share.value)
  return { run, rows, next, state, share }
}
