import isEqual from 'fast-deep-equal'

/**
 * A computed value that stays the very same object for as long as it says the same: what shows it is not drawn
 * anew with every reading that is kept.
 */
export function useStable<T>(getter: () => T): ComputedRef<T> {
  return computed<T>(before => {
    const now = getter()
    return before !== undefined && isEqual(before, now) ? before : now
  })
}
