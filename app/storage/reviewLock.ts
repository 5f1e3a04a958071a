/** Whether this tab may write a review. */
export type LockState = 'waiting' | 'mine' | 'elsewhere'

export interface ReviewLock {
  /** Takes the review over from the tab that has it. */
  takeOver: () => Promise<void>
  release: () => void
}

/**
 * Lets one tab at a time write a review (Web Locks). The second tab is told `elsewhere`, and `mine` once the first
 * was closed: a page that was just loaded anew may still hold it for a moment. A tab whose lock is taken over is told
 * so too. Without Web Locks every tab gets `mine`.
 */
export function lockReview(reviewId: string, onChange: (state: LockState) => void): ReviewLock {
  const name = `rigorous-meter:${reviewId}`
  let letGo: (() => void) | null = null
  let released = false
  /** The request that stands in line while another tab has the review. */
  let inLine: AbortController | null = null

  async function hold(options: LockOptions): Promise<void> {
    try {
      await navigator.locks.request(name, options, lock => {
        if (options.signal) inLine = null
        if (released) return
        if (!lock) return notMine()
        onChange('mine')
        return new Promise<void>(resolve => {
          letGo = resolve
        })
      })
    } catch {
      if (options.signal?.aborted) return
      letGo = null
      if (!released) notMine()
    }
  }

  function notMine(): void {
    onChange('elsewhere')
    if (inLine) return
    inLine = new AbortController()
    void hold({ signal: inLine.signal })
  }

  function leaveLine(): void {
    inLine?.abort()
    inLine = null
  }

  if (!('locks' in navigator)) {
    onChange('mine')
    return { takeOver: async () => onChange('mine'), release: () => {} }
  }
  void hold({ ifAvailable: true })
  return {
    takeOver: () =>
      new Promise(resolve => {
        leaveLine()
        void hold({ steal: true })
        setTimeout(resolve, 50)
      }),
    release: () => {
      released = true
      leaveLine()
      letGo?.()
    },
  }
}
