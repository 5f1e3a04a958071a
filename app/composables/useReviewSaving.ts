import type { ShallowRef } from 'vue'
import type { Review } from '#core/review'
import { plainWords } from '~/errors/plainWords'
import { noteChange, OvertakenError, saveReview } from '~/storage'

/** Whether what is on the screen is on the disk. */
export type SaveState =
  { kind: 'saved'; at: Date | null } | { kind: 'saving' } | { kind: 'failed'; message: string }

/** What the others hear of the saving. */
export interface SavingEvents {
  onSaved: () => void
  /** Another tab has written the review: this one's edits end here. */
  onOvertaken: () => void
}

/** Longest that what can wait lets the disk go first, ms. */
const DISK_FIRST_MS = 150

/**
 * Saves the open review: every state leaves its journal at once, and the newest is written as soon as the disk
 * is free; states in between need not be.
 */
export function useReviewSaving(review: ShallowRef<Review | null>, { onSaved, onOvertaken }: SavingEvents) {
  const ui = useUiStore()
  const saveState = ref<SaveState>({ kind: 'saved', at: null })
  let wanted: Review | null = null
  let writing: Promise<void> | null = null
  let puts = 0

  /**
   * Puts the next state into the journal and on the screen at once, and on the disk as soon as it is free: the
   * disk is asked first, so that it works while the screen is drawn.
   */
  function put(next: Review): void {
    const state: Review = { ...next, updatedAt: new Date().toISOString() }
    wanted = state
    puts += 1
    noteChange(state)
    writing ??= write().finally(() => (writing = null))
    saveState.value = { kind: 'saving' }
    review.value = state
  }

  async function write(): Promise<void> {
    while (wanted) {
      const snapshot: Review = wanted
      wanted = null
      await save(snapshot)
    }
  }

  async function save(snapshot: Review): Promise<void> {
    try {
      await saveReview(snapshot)
      if (review.value === snapshot) saveState.value = { kind: 'saved', at: new Date() }
      onSaved()
    } catch (error) {
      saveState.value = { kind: 'failed', message: plainWords(error) }
      if (error instanceof OvertakenError) onOvertaken()
      ui.sayProblem(error)
    }
  }

  /** Resolved once what was put is on the disk, or the disk has had its time: what can wait lets it go first. */
  function savedSoon(): Promise<void> {
    if (!writing) return Promise.resolve()
    return Promise.race([writing, new Promise<void>(resolve => setTimeout(resolve, DISK_FIRST_MS))])
  }

  function forget(): void {
    saveState.value = { kind: 'saved', at: null }
  }

  return {
    saveState,
    put,
    forget,
    /** How many states were put so far. */
    puts: () => puts,
    /** Resolved once all that was put is on the disk, or could not be. */
    settled: () => writing ?? Promise.resolve(),
    savedSoon,
  }
}
