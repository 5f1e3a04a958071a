import { stepKey } from '#core/review'
import type { Step } from '#core/step'

/** Lines ticked off at a step, and ticking them. */
export function useTicks(step: () => Step, label: string) {
  const store = useReviewStore()
  const key = computed(() => stepKey(step().set.id, step().id))
  const ticked = useStable(() => store.review?.ticks[key.value] ?? [])

  function tick(id: string, value: boolean | null): void {
    store.change(label, draft => {
      const others = (draft.ticks[key.value] ?? []).filter(other => other !== id)
      draft.ticks[key.value] = value === true ? [...others, id] : others
    })
  }

  return { ticked, tick }
}
