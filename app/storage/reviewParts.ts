import type { Review } from '#core/review'

/** Items of a list in one record: few enough that a reading kept writes a few kB. */
export const ITEMS_A_PART = 16

/** What the head record holds of a review: its small fields, and which parts there must be. */
export interface PartsHead {
  fields: Record<string, unknown>
  /** Lists by name: how many items. */
  lists: Record<string, number>
  /** Fields that have a record of their own. */
  wholes: string[]
}

/** Parts of a review by name: a stretch of a list, or a field as a whole. */
export type Parts = Map<string, unknown>

type Fields = Record<string, unknown>

const isWhole = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

export function headOfParts(review: Review): PartsHead {
  const head: PartsHead = { fields: {}, lists: {}, wholes: [] }
  for (const [name, value] of Object.entries(review))
    if (Array.isArray(value)) head.lists[name] = value.length
    else if (isWhole(value)) head.wholes.push(name)
    else head.fields[name] = value
  return head
}

/** Names of the parts a head asks for. */
export function partNames({ lists, wholes }: PartsHead): string[] {
  const batches = Object.entries(lists).flatMap(([name, count]) =>
    Array.from({ length: Math.ceil(count / ITEMS_A_PART) }, (_unused, i) => `${name}:${i}`),
  )
  return [...wholes, ...batches]
}

/** Whether a state may lack parts that an earlier one had. */
export function hasFewerParts(now: PartsHead, before: PartsHead): boolean {
  const isShorter = ([name, count]: [string, number]) => (now.lists[name] ?? 0) < count
  return (
    Object.entries(before.lists).some(isShorter) || before.wholes.some(name => !now.wholes.includes(name))
  )
}

/**
 * The parts in which a review differs from any of the states it may be put down over; all of them where one of
 * these is not known. Items are compared by identity: a change leaves alone what it does not touch.
 */
export function changedParts(review: Review, bases: readonly (Review | null)[]): Parts {
  const parts: Parts = new Map()
  for (const [name, value] of Object.entries(review)) {
    const before = bases.map(base => (base as Fields | null)?.[name])
    if (Array.isArray(value)) {
      for (const [index, batch] of changedBatches(value, before)) parts.set(`${name}:${index}`, batch)
    } else if (isWhole(value) && before.some(one => one !== value)) parts.set(name, value)
  }
  return parts
}

function changedBatches(items: readonly unknown[], bases: readonly unknown[]): [number, unknown[]][] {
  if (bases.every(base => base === items)) return []
  const changed: [number, unknown[]][] = []
  for (let from = 0; from < items.length; from += ITEMS_A_PART)
    if (bases.some(base => differs(items, base, from)))
      changed.push([from / ITEMS_A_PART, items.slice(from, from + ITEMS_A_PART)])
  return changed
}

function differs(items: readonly unknown[], base: unknown, from: number): boolean {
  if (!Array.isArray(base)) return true
  const to = from + ITEMS_A_PART
  if (Math.min(items.length, to) !== Math.min(base.length, to)) return true
  for (let i = from; i < Math.min(items.length, to); i++) if (items[i] !== base[i]) return true
  return false
}

/** A part that is not there or cannot be read, as a person may be told of it. */
export interface LostPart {
  field: string
  /** First and last item, counted from one; null for a field as a whole. */
  items: [first: number, last: number] | null
}

/** Puts a review together from its head and parts; what is lost is named, and left out. */
export function assembled(head: PartsHead, parts: Parts): { data: Fields; lost: LostPart[] } {
  const data: Fields = { ...head.fields }
  const lost: LostPart[] = []
  for (const name of head.wholes)
    if (parts.has(name)) data[name] = parts.get(name)
    else lost.push({ field: name, items: null })
  for (const [name, count] of Object.entries(head.lists)) {
    const items: unknown[] = []
    for (let from = 0; from < count; from += ITEMS_A_PART) {
      const most = Math.min(ITEMS_A_PART, count - from)
      const batch = parts.get(`${name}:${from / ITEMS_A_PART}`)
      if (Array.isArray(batch) && batch.length >= most) items.push(...(batch as unknown[]).slice(0, most))
      else lost.push({ field: name, items: [from + 1, from + most] })
    }
    data[name] = items
  }
  return { data, lost }
}
