import { plainWords } from '~/errors/plainWords'
import { createContext, createSharedWork } from '#core/context'
import type { Review } from '#core/review'
import { DamagedReviewError, loadReview, NoStorageError } from '~/storage'
import { breathe } from '~/composables/breathe'
import { useReviewChanges } from '~/composables/useReviewChanges'
import { useReviewRecords } from '~/composables/useReviewRecords'
import { useReviewSaving } from '~/composables/useReviewSaving'
import { useReviewTabs } from '~/composables/useReviewTabs'

/** Why what is on the screen is no longer what is on the shelf. */
export type Gone = 'removed' | 'overtaken'

/** The open review: its document, the one way to change it, undo and redo, saving, and who may write. */
export const useReviewStore = defineStore('review', () => {
  const ui = useUiStore()
  const review = shallowRef<Review | null>(null)
  const missing = ref(false)
  const problem = ref<string | null>(null)
  const damaged = shallowRef<DamagedReviewError | null>(null)
  const gone = ref<Gone | null>(null)
  const shared = markRaw(createSharedWork())
  const context = computed(() => review.value && createContext(review.value, shared))

  const tabs = useReviewTabs({
    onChanged: () => again(),
    onLost: () =>
      ui.say('Another tab has taken this review over. Here it is read-only now; nothing was lost.'),
    onRemoved: () => (gone.value = 'removed'),
    onReplaced: () => {
      ui.say('Another copy of this review was brought in, in another tab; this is the new one.')
      void again()
    },
    settled: () => saving.settled(),
  })
  const { lockState } = tabs
  const readOnly = computed(() => tabs.readOnly.value || gone.value !== null)
  const saving = useReviewSaving(review, {
    onSaved: tabs.tellSaved,
    onOvertaken: () => (gone.value = 'overtaken'),
  })
  const { forgetHistory, ...changes } = useReviewChanges({ review, readOnly, put: saving.put })
  const { forgetTraces, ...records } = useReviewRecords(review)

  /** The review whose page is open. */
  let wanted: string | null = null

  async function open(id: string): Promise<void> {
    wanted = id
    if (review.value?.id === id && tabs.isHeld()) return
    close()
    missing.value = false
    problem.value = null
    damaged.value = null
    gone.value = null
    tabs.listen(id)
    await reload(id)
    if (review.value?.id === id) tabs.hold(id)
  }

  /** Which reading of a review was begun last: what an earlier one comes to counts no more. */
  let latest = 0

  /**
   * What was changed here a moment ago is on the disk before it is read again, and what is changed while it is
   * read has it read once more.
   */
  async function reload(id: string): Promise<void> {
    const mine = ++latest
    try {
      await saving.settled()
      const putsBefore = saving.puts()
      const found = await loadReview(id, words => ui.say(words))
      // What was read crosses over in a turn of its own, the look-ups are made in one, and then the page is drawn.
      await breathe()
      if (found) createContext(found, shared)
      await breathe()
      if (mine !== latest) return
      if (saving.puts() !== putsBefore) return await reload(id)
      review.value = found
      if (found) gone.value = null
      missing.value = found === null
      forgetHistory()
    } catch (error) {
      if (mine !== latest) return
      damaged.value = error instanceof DamagedReviewError ? error : null
      problem.value = plainWords(error)
      if (error instanceof NoStorageError) void goOnOnce(error, () => mine === latest && wanted === id)
    }
  }

  /** A database that was silent may answer after all. */
  async function goOnOnce({ answered }: NoStorageError, isStillWanted: () => boolean): Promise<void> {
    if (!answered) return
    try {
      await answered
    } catch {
      return
    }
    if (isStillWanted() && wanted !== null) await open(wanted)
  }

  async function again(): Promise<void> {
    if (review.value && gone.value === null) await reload(review.value.id)
  }

  function close(): void {
    tabs.leave()
    review.value = null
    forgetTraces()
    forgetHistory()
    saving.forget()
  }

  /** Its page was left: another one may have been opened before. */
  function leave(id: string): void {
    if (wanted !== id) return
    wanted = null
    close()
  }

  async function takeOver(): Promise<void> {
    const id = review.value?.id
    if (id && (await tabs.takeOver())) await reload(id)
  }

  return {
    ...{ review, missing, problem, damaged, gone, context, shared },
    ...{ lockState, readOnly, saveState: saving.saveState, savedSoon: saving.savedSoon },
    ...{ open, close, leave, takeOver },
    ...changes,
    ...records,
  }
})
