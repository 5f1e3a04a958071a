/** A level of the tree: one more subject, compared by identity, leads to the next level or to the value. */
interface Branch {
  next: WeakMap<object, Branch> | null
  value: unknown
  isKnown: boolean
}

/**
 * Results of functions, kept by the function and the identity of everything it was given. The function must be
 * declared once, at module level, and read only its subjects, which must be immutable: then a kept result can
 * never be older than what it rests on. Entries go when a subject is garbage.
 */
export interface IdentityCache {
  of: <Subjects extends object[], Value>(
    compute: (...subjects: Subjects) => Value,
    ...subjects: Subjects
  ) => Value
}

/** Returns an empty cache. A computation that throws leaves nothing behind. */
export function createIdentityCache(): IdentityCache {
  const roots = new Map<unknown, Branch>()
  return {
    of(compute, ...subjects) {
      let branch = roots.get(compute)
      if (!branch) roots.set(compute, (branch = newBranch()))
      for (const subject of subjects) {
        branch.next ??= new WeakMap()
        let next = branch.next.get(subject)
        if (!next) branch.next.set(subject, (next = newBranch()))
        branch = next
      }
      if (!branch.isKnown) {
        branch.value = compute(...subjects)
        branch.isKnown = true
      }
      return branch.value as ReturnType<typeof compute>
    },
  }
}

const newBranch = (): Branch => ({ next: null, value: undefined, isKnown: false })
