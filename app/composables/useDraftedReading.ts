import { createContext } from '#core/context'
import type { Reading } from '#core/review'
import { type Kept, type Step, takeReading } from '#core/step'

/** What is being typed at a step: it is shown with its verdict before it is kept. */
export function useDraftedReading(step: Readonly<Ref<Step | null>>) {
  const store = useReviewStore()
  const draft = shallowRef<Kept | null>(null)
  watch(step, () => {
    draft.value = null
  })

  /** The review as it would be with what is being typed. */
  const shownContext = computed(() => {
    const drafted = draft.value && step.value && readingOf(step.value, draft.value, 'draft')
    if (!drafted || !store.review) return store.context
    return createContext({ ...store.review, readings: [...store.review.readings, drafted] }, store.shared)
  })

  /** What is kept of what was typed; null where it gives no reading. */
  function readingOf(place: Step, kept: Kept, id: string): Reading | null {
    return store.context
      ? takeReading(place, kept, { id, at: new Date().toISOString() }, store.context)
      : null
  }

  /** What a field would say, shown before it is kept. */
  function showDraft(value: Kept | null): void {
    draft.value = value
  }

  return { draft, showDraft, shownContext, readingOf }
}
