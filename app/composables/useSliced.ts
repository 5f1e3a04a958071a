import type { ShallowRef } from 'vue'
import { spareTurn } from './spareTurn'
import { atOnce, type Sliced } from '#core/sliced'

/** Longest that work keeps the page from answering, ms. */
const SLICE_MS = 12

/** How far a piece of work has come. */
export interface SlicedWork<T> {
  /** What came of it; of the state before while it is done anew, and null before it was ever done. */
  value: Readonly<ShallowRef<T | null>>
  /** 0 to 1, null while nothing is being done. */
  share: Readonly<Ref<number | null>>
}

/** Work that was begun. */
export interface BegunWork<T> {
  work: Sliced<T>
  /** Whether it may be done at once. */
  isSmall: boolean
  /** What goes first where it is not. */
  after?: Promise<unknown>
}

/**
 * Does work in slices, so that the page goes on answering; begins anew when what it rests on changes, and keeps
 * what came of it before on the screen until then. Work that is small is done at once.
 * @param begin - begins the work; what it reads before it returns is what the work rests on. null: nothing to do.
 */
export function useSliced<T>(begin: () => BegunWork<T> | null): SlicedWork<T> {
  const value = shallowRef<T | null>(null)
  const share = ref<number | null>(null)
  let latest: Sliced<T> | null = null

  async function goOn({ work, after }: BegunWork<T>): Promise<void> {
    share.value = 0
    if (after) await after
    if (latest !== work) return
    let until = performance.now() + SLICE_MS
    for (;;) {
      const step = work.next()
      if (step.done) {
        value.value = step.value
        share.value = null
        return
      }
      if (performance.now() < until) continue
      share.value = step.value
      await spareTurn()
      if (latest !== work) return
      until = performance.now() + SLICE_MS
    }
  }

  watchEffect(
    () => {
      const begun = begin()
      latest = begun?.work ?? null
      if (begun?.isSmall) value.value = atOnce(begun.work)
      if (begun && !begun.isSmall) void goOn(begun)
      else share.value = null
      if (!begun) value.value = null
    },
    { flush: 'sync' },
  )
  onScopeDispose(() => (latest = null))
  return { value: shallowReadonly(value), share: readonly(share) }
}
