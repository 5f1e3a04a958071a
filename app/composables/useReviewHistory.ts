import type { Patch } from 'immer'

/** One change of a review, as it can be undone and done again. */
export interface Change {
  label: string
  forward: Patch[]
  back: Patch[]
}

const MOST_UNDO = 500

/** What was changed in the open review, and what of it was undone. */
export function useReviewHistory() {
  const past = shallowRef<Change[]>([])
  const future = shallowRef<Change[]>([])

  return {
    past: shallowReadonly(past),
    future: shallowReadonly(future),

    /** Adds a change; what had been undone before it cannot be done again. */
    add(change: Change): void {
      past.value = [...past.value.slice(-MOST_UNDO + 1), change]
      future.value = []
    },

    /** The last change, now counted as undone. */
    stepBack(): Change | null {
      const last = past.value.at(-1)
      if (!last) return null
      past.value = past.value.slice(0, -1)
      future.value = [...future.value, last]
      return last
    },

    /** The change that was undone last, now counted as done. */
    stepForward(): Change | null {
      const next = future.value.at(-1)
      if (!next) return null
      future.value = future.value.slice(0, -1)
      past.value = [...past.value, next]
      return next
    },

    forget(): void {
      past.value = []
      future.value = []
    },
  }
}
