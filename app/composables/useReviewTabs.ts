import { lockReview, type LockState, type ReviewLock } from '~/storage/reviewLock'

/** What a tab does about the other tabs that have the same review open. */
export interface TabEvents {
  /** Another tab has saved a change while this one only reads. */
  onChanged: () => void
  /** Another tab has taken the review over from this one. */
  onLost: () => void
}

/** Which tab may write the open review: one at a time, and the others follow it. */
export function useReviewTabs({ onChanged, onLost }: TabEvents) {
  const lockState = ref<LockState>('waiting')
  const readOnly = computed(() => lockState.value !== 'mine')
  let lock: ReviewLock | null = null
  let channel: BroadcastChannel | null = null

  /** Listens to the other tabs from here on. */
  function listen(id: string): void {
    channel = new BroadcastChannel(`rigorous-meter:${id}`)
    channel.onmessage = () => {
      if (readOnly.value) onChanged()
    }
  }

  /** Asks to be the one that writes. */
  function hold(id: string): void {
    lock = lockReview(id, state => {
      const lost = lockState.value === 'mine' && state === 'elsewhere'
      lockState.value = state
      if (lost) onLost()
    })
  }

  return {
    lockState,
    readOnly,
    listen,
    hold,
    isHeld: () => lock !== null,

    /** Writes from here on; the other tabs only read. False where nothing is open. */
    async takeOver(): Promise<boolean> {
      if (!lock) return false
      await lock.takeOver()
      return true
    },

    tellSaved(): void {
      channel?.postMessage('saved')
    },

    leave(): void {
      lock?.release()
      lock = null
      channel?.close()
      channel = null
      lockState.value = 'waiting'
    },
  }
}
