import type { SignalNature } from '#core/review'
import type { Step } from '#core/step'

/** How a signal is called when it is said what it is. */
export const NATURE_TITLES: Record<SignalNature, string> = {
  narrow: 'A plain carrier',
  'noise-like': 'Like noise',
}

/**
 * Says what the signal of a reading is. Nothing else of the reading changes: not when, nor through what it was taken.
 */
export function useSignalNature() {
  const store = useReviewStore()

  return function say(step: Step, slotId: string, nature: SignalNature): void {
    const reading = store.context?.readingsOf(step).get(slotId)
    if (reading?.seen.as !== 'level') return
    const said = {
      ...reading,
      id: crypto.randomUUID(),
      seen: { ...reading.seen, nature },
      supersedes: reading.id,
    }
    store.change(`what the signal at ${slotId} is`, () => {}, [said])
  }
}
