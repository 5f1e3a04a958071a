import type { ShallowRef } from 'vue'
import type { Review } from '#core/review'
import { saveReview } from '~/storage'

/** Whether what is on the screen is on the disk. */
export type SaveState =
  { kind: 'saved'; at: Date | null } | { kind: 'saving' } | { kind: 'failed'; message: string }

/** Saves the open review, one state after another in the order they were made. */
export function useReviewSaving(review: ShallowRef<Review | null>, onSaved: () => void) {
  const ui = useUiStore()
  const saveState = ref<SaveState>({ kind: 'saved', at: null })
  let writing: Promise<void> = Promise.resolve()

  /** Puts the next state on the screen at once, and on the disk as soon as the ones before it are. */
  function put(next: Review): void {
    review.value = { ...next, updatedAt: new Date().toISOString() }
    saveState.value = { kind: 'saving' }
    const snapshot = review.value
    writing = writing.then(() => save(snapshot))
  }

  async function save(snapshot: Review): Promise<void> {
    try {
      await saveReview(snapshot)
      if (review.value === snapshot) saveState.value = { kind: 'saved', at: new Date() }
      onSaved()
    } catch (error) {
      saveState.value = { kind: 'failed', message: error instanceof Error ? error.message : String(error) }
      ui.sayProblem(error)
    }
  }

  function forget(): void {
    saveState.value = { kind: 'saved', at: null }
  }

  return { saveState, put, forget }
}
