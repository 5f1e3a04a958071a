import type { InjectionKey } from 'vue'

/** Parts of a long page that are drawn only near the window, and all of them before it goes on paper. */
export interface Reveal {
  /** A part of the page joins; it is told when it must stand, wherever the window is. */
  joinedBy: () => { isRevealed: Readonly<Ref<boolean>> }
}

const KEY: InjectionKey<Reveal> = Symbol('reveal')

/** So many parts are drawn before the page may answer again. */
const AT_A_TIME = 12

/** The page whose parts are revealed. */
export function provideReveal() {
  const isOn = ref(false)
  const waiting = new Set<Ref<boolean>>()
  const joined = new Set<Ref<boolean>>()
  /** Parts drawn so far while all are being drawn; null otherwise. */
  const drawn = ref<number | null>(null)
  /** Every part stands. */
  const isWhole = ref(false)

  provide(KEY, {
    joinedBy() {
      const isRevealed = ref(false)
      joined.add(isRevealed)
      if (isOn.value) waiting.add(isRevealed)
      onScopeDispose(() => {
        joined.delete(isRevealed)
        waiting.delete(isRevealed)
      })
      return { isRevealed }
    },
  })

  /** Draws every part, a few at a time; parts that come with them too. False where it was called off. */
  async function all(): Promise<boolean> {
    isOn.value = true
    drawn.value = 0
    for (const one of joined) waiting.add(one)
    while (waiting.size > 0 && isOn.value) {
      let left = AT_A_TIME
      for (const one of waiting) {
        waiting.delete(one)
        one.value = true
        drawn.value += 1
        if (--left === 0) break
      }
      await nextTick()
      await new Promise(resolve => setTimeout(resolve))
    }
    drawn.value = null
    isWhole.value = isOn.value
    return isOn.value
  }

  /** Only what is near the window again. */
  function none(): void {
    isOn.value = isWhole.value = false
    waiting.clear()
    for (const one of joined) one.value = false
  }

  return { all, none, drawn: readonly(drawn), isWhole: readonly(isWhole) }
}

/** For a part of such a page; on any other it is never told. */
export function useReveal(): Reveal {
  return inject(KEY, { joinedBy: () => ({ isRevealed: ref(false) }) })
}
