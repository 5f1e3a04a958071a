import type { ShallowRef } from 'vue'
import { spareTurn } from './spareTurn'
import type { Sliced } from '#core/sliced'

/** Longest that work keeps the page from answering, ms. */
const SLICE_MS = 12

/** Longest that work which is small keeps the page: that of an engine that has not seen it before is not. */
const AT_ONCE_MS = 60

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
 * what came of it before on the screen until then. Work that is small is done at once, as far as that goes quickly.
 * @param begin - begins the work; what it reads before it returns is what the work rests on. null: nothing to do.
 */
export function useSliced<T>(begin: () => BegunWork<T> | null): SlicedWork<T> {
  const value = shallowRef<T | null>(null)
  const share = ref<number | null>(null)
  let latest: Sliced<T> | null = null

  /** Works for so long; true once it is done. */
  function worked(work: Sliced<T>, ms: number): boolean {
    const until = performance.now() + ms
    let step = work.next()
    while (!step.done && performance.now() < until) step = work.next()
    if (step.done) value.value = step.value
    share.value = step.done ? null : step.value
    return step.done === true
  }

  async function goOn(work: Sliced<T>, after?: Promise<unknown>): Promise<void> {
    if (after) await after
    while (latest === work && !worked(work, SLICE_MS)) await spareTurn()
  }

  watchEffect(
    () => {
      const begun = begin()
      latest = begun?.work ?? null
      if (begun?.isSmall) {
        if (!worked(begun.work, AT_ONCE_MS)) void goOn(begun.work, spareTurn())
        return
      }
      share.value = begun ? 0 : null
      if (begun) void goOn(begun.work, begun.after)
      else value.value = null
    },
    { flush: 'sync' },
  )
  onScopeDispose(() => (latest = null))
  return { value: shallowReadonly(value), share: readonly(share) }
}
