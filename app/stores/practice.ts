import type { PracticeSession } from '~/practice/session'
import { loadPractice } from '~/storage/practiceStore'

/** The evening the open review is practice of, where it is one. */
export const usePracticeStore = defineStore('practice', () => {
  const session = shallowRef<PracticeSession | null>(null)
  const reviewId = ref('')

  /** Looks whether a review is an evening; most are not, and need nothing of practice. */
  async function openFor(id: string): Promise<void> {
    if (reviewId.value === id) return
    reviewId.value = id
    session.value?.leave()
    session.value = null
    const kept = await loadPractice(id).catch(() => null)
    if (!kept || reviewId.value !== id) return
    const { practiceSession } = await import('~/practice/session')
    if (reviewId.value === id) session.value = practiceSession(kept)
  }

  return { session, openFor }
})
