import { entryOf } from '../cache'

/** Whatever belongs to one radio of a review. */
interface OfRadio {
  setId: string
}

/** A list of a review, and its items by radio, in the order of the list. */
export interface ByRadio<Item extends OfRadio> {
  list: readonly Item[]
  byRadio: ReadonlyMap<string, readonly Item[]>
}

/**
 * Returns the items of each radio. A radio whose items are the very same keeps the list it had before.
 * O(list) comparisons by identity; where the list only grew, no more than that and what is new.
 * @param before - the same for earlier states of the list, the latest first.
 */
export function byRadio<Item extends OfRadio>(
  list: readonly Item[],
  before: readonly ByRadio<Item>[],
): ByRadio<Item> {
  const same = before.find(one => one.list === list)
  if (same) return same
  const shorter = before.find(one => isStartOf(one.list, list))
  if (shorter) return { list, byRadio: grown(shorter.byRadio, list.slice(shorter.list.length)) }
  const groups = grown<Item>(new Map(), list)
  for (const [setId, items] of groups)
    for (const one of before) {
      const known = one.byRadio.get(setId)
      if (known?.length === items.length && isStartOf(known, items)) groups.set(setId, known)
    }
  return { list, byRadio: groups }
}

function isStartOf(start: readonly unknown[], list: readonly unknown[]): boolean {
  return start.length <= list.length && start.every((one, i) => one === list[i])
}

function grown<Item extends OfRadio>(
  before: ReadonlyMap<string, readonly Item[]>,
  fresh: readonly Item[],
): Map<string, readonly Item[]> {
  const own = new Map<string, Item[]>()
  for (const item of fresh) entryOf(own, item.setId, () => [...(before.get(item.setId) ?? [])]).push(item)
  return new Map<string, readonly Item[]>([...before, ...own])
}
