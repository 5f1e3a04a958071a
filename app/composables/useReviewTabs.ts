import { lockReview, type LockState, type ReviewLock } from '~/storage/reviewLock'
import { type TabMessage, tabChannel } from '~/storage/tabChannel'

/** What a tab does about the other tabs that have the same review open. */
export interface TabEvents {
  /** Another tab has saved a change while this one only reads. Resolved once that was read. */
  onChanged: () => Promise<void>
  /** Another tab has taken the review over from this one. */
  onLost: () => void
  /** Another tab has taken the review off the shelf. */
  onRemoved: () => void
  /** Another tab has brought in another copy in its place. */
  onReplaced: () => void
  /** Resolved once all that was changed here is on the disk. */
  settled: () => Promise<void>
}

/** How long the tab that has the review is given to finish, ms; one that sleeps is not waited for. */
const HAND_OVER_MS = 1500

/** Which tab may write the open review: one at a time, and the others follow it. */
export function useReviewTabs({ onChanged, onLost, onRemoved, onReplaced, settled }: TabEvents) {
  const lockState = ref<LockState>('waiting')
  const handingOver = ref(false)
  const readOnly = computed(() => lockState.value !== 'mine' || handingOver.value)
  let lock: ReviewLock | null = null
  let channel: BroadcastChannel | null = null
  let onHandedOver: (() => void) | null = null
  let isTakingOver = false

  /** Listens to the other tabs from here on. */
  function listen(id: string): void {
    channel = tabChannel(id)
    channel.onmessage = ({ data }: MessageEvent<TabMessage>) => hear(data)
  }

  function hear(message: TabMessage): void {
    switch (message) {
      case 'saved':
        if (readOnly.value) void onChanged()
        break
      case 'hand-over':
        if (lockState.value === 'mine') void handOver()
        break
      case 'handed-over':
        onHandedOver?.()
        break
      case 'removed':
        onRemoved()
        break
      case 'replaced':
        onReplaced()
    }
  }

  /** No more changes here; the other tab reads when the last of them is on the disk. */
  async function handOver(): Promise<void> {
    handingOver.value = true
    await settled()
    channel?.postMessage('handed-over' satisfies TabMessage)
    // Whoever asked may have been closed meanwhile: then it goes on here.
    setTimeout(() => (handingOver.value = false), HAND_OVER_MS)
  }

  /** Asks to be the one that writes. */
  function hold(id: string): void {
    lock = lockReview(id, state => {
      const before = lockState.value
      lockState.value = state
      handingOver.value = false
      if (before === 'mine' && state === 'elsewhere') onLost()
      if (before === 'elsewhere' && state === 'mine' && !isTakingOver) void inherit()
    })
  }

  /** The tab that had it was closed: what it saved last is read before anything is written. */
  async function inherit(): Promise<void> {
    handingOver.value = true
    await onChanged()
    handingOver.value = false
  }

  function askedToHandOver(): Promise<void> {
    return new Promise(resolve => {
      onHandedOver = resolve
      setTimeout(resolve, HAND_OVER_MS)
      channel?.postMessage('hand-over' satisfies TabMessage)
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
      isTakingOver = true
      try {
        await askedToHandOver()
        onHandedOver = null
        await lock?.takeOver()
        return true
      } finally {
        isTakingOver = false
      }
    },

    tellSaved(): void {
      channel?.postMessage('saved' satisfies TabMessage)
    },

    leave(): void {
      lock?.release()
      lock = null
      channel?.close()
      channel = null
      lockState.value = 'waiting'
      handingOver.value = false
    },
  }
}
