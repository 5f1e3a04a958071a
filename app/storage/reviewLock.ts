/** Whether this tab may write a review. */
export type LockState = 'waiting' | 'mine' | 'elsewhere'

export interface ReviewLock {
  /** Takes the review over from the tab that has it. */
  takeOver: () => Promise<void>
  release: () => void
}

/**
 * Lets one tab at a time write a review (Web Locks). The second tab is told `elsewhere`; a tab whose
 * lock is taken over is told so too. Without Web Locks every tab gets `mine`.
 */
export function lockReview(reviewId: string, onChange: (state: LockState) => void): ReviewLock {
  const name = `rigorous-meter:${reviewId}`
  let letGo: (() => void) | null = null
  let released = false

  async function hold(options: LockOptions): Promise<void> {
    try {
      await navigator.locks.request(name, options, lock => {
        if (!lock || released) {
          if (!released) onChange('elsewhere')
          return
        }
        onChange('mine')
        return new Promise<void>(resolve => {
          letGo = resolve
        })
      })
    } catch {
      letGo = null
      if (!released) onChange('elsewhere')
    }
  }

  if (!('locks' in navigator)) {
    onChange('mine')
    return { takeOver: async () => onChange('mine'), release: () => {} }
  }
  void hold({ ifAvailable: true })
  return {
    takeOver: () =>
      new Promise(resolve => {
        void hold({ steal: true })
        setTimeout(resolve, 50)
      }),
    release: () => {
      released = true
      letGo?.()
    },
  }
}
