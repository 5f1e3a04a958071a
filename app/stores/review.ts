import { createContext, createSharedWork } from '#core/context'
import type { Review } from '#core/review'
import { loadReview } from '~/storage'
import { useReviewChanges } from '~/composables/useReviewChanges'
import { useReviewRecords } from '~/composables/useReviewRecords'
import { useReviewSaving } from '~/composables/useReviewSaving'
import { useReviewTabs } from '~/composables/useReviewTabs'

/** The open review: its document, the one way to change it, undo and redo, saving, and who may write. */
export const useReviewStore = defineStore('review', () => {
  const ui = useUiStore()
  const review = shallowRef<Review | null>(null)
  const missing = ref(false)
  const problem = ref<string | null>(null)
  const shared = markRaw(createSharedWork())
  const context = computed(() => review.value && createContext(review.value, shared))

  const tabs = useReviewTabs({
    onChanged: () => void (review.value && reload(review.value.id)),
    onLost: () =>
      ui.say('Another tab has taken this review over. Here it is read-only now; nothing was lost.'),
  })
  const { lockState, readOnly } = tabs
  const saving = useReviewSaving(review, tabs.tellSaved)
  const { forgetHistory, ...changes } = useReviewChanges({ review, readOnly, put: saving.put })
  const { forgetTraces, ...records } = useReviewRecords(review)

  async function open(id: string): Promise<void> {
    if (review.value?.id === id && tabs.isHeld()) return
    close()
    missing.value = false
    problem.value = null
    tabs.listen(id)
    await reload(id)
    if (review.value) tabs.hold(id)
  }

  async function reload(id: string): Promise<void> {
    try {
      const found = await loadReview(id)
      review.value = found
      missing.value = found === null
      forgetHistory()
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  function close(): void {
    tabs.leave()
    review.value = null
    forgetTraces()
    forgetHistory()
    saving.forget()
  }

  async function takeOver(): Promise<void> {
    const id = review.value?.id
    if (id && (await tabs.takeOver())) await reload(id)
  }

  return {
    ...{ review, missing, problem, context, shared },
    ...{ lockState, readOnly, saveState: saving.saveState },
    ...{ open, close, takeOver },
    ...changes,
    ...records,
  }
})
