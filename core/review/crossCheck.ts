import { rulebooks, yardsticks } from '../rules'
import type { Review } from './types'

/** What is wrong between the parts of a review: in words for a person, and which names do not meet. */
export interface CrossFault {
  words: string
  why: string
}

/** Fields whose change can leave something without what it belongs to. */
export const CROSS_CHECKED: readonly (keyof Review)[] = [
  'sets',
  'readings',
  'traces',
  'curves',
  'keyDowns',
  'notes',
  'pictures',
  'clips',
  'skipped',
  'settings',
  'ownRulebooks',
]

/** Lists whose items belong to a set of the review, and what one of them is called. */
export const OF_A_SET = {
  readings: 'a reading',
  traces: 'a trace',
  curves: 'a curve',
  keyDowns: 'a key-down',
  notes: 'a note',
  pictures: 'a picture',
  clips: 'a clip',
  skipped: 'a step left out',
} as const

/** Fields that were touched, and which of their items; null: the field as a whole. */
export type Touched = ReadonlyMap<keyof Review, ReadonlySet<number> | null>

/**
 * Checks the names inside a review against each other; null where all meet. O(n).
 * @param touched - what is new since they all met: the rest is not looked through again.
 */
export function crossCheck(review: Review, touched: Touched | null = null): CrossFault | null {
  return strayOf(review, touched) ?? unknownRulebook(review, touched)
}

function strayOf(review: Review, touched: Touched | null): CrossFault | null {
  const isNew = (field: keyof Review) => touched === null || touched.has('sets') || touched.has(field)
  const sets = new Set(review.sets.map(({ id }) => id))
  for (const [field, what] of Object.entries(OF_A_SET) as [keyof typeof OF_A_SET, string][]) {
    if (!isNew(field)) continue
    const list: readonly { setId: string; stepId: string }[] = review[field]
    const items = touched === null || touched.has('sets') ? null : touched.get(field)
    const looked = items ? [...items].flatMap(index => list[index] ?? []) : list
    const stray = looked.find(({ setId }) => !sets.has(setId))
    if (stray)
      return {
        words: `This review holds ${what} of a set that is not in it.`,
        why: `${what} of step ${stray.stepId} names set ${stray.setId}`,
      }
  }
  return null
}

/** Ids of the rulebooks and yardsticks that a review may be judged by. */
export function knownBooks({ ownRulebooks }: Pick<Review, 'ownRulebooks'>): Set<string> {
  return new Set([...rulebooks, ...yardsticks, ...ownRulebooks].map(book => book.id))
}

const NAMES_BOOKS = ['settings', 'ownRulebooks', 'sets'] as const

function unknownRulebook(review: Review, touched: Touched | null): CrossFault | null {
  if (touched !== null && !NAMES_BOOKS.some(field => touched.has(field))) return null
  const known = knownBooks(review)
  const { rulebookIds, yardstickId } = review.settings
  const asked = [
    ...rulebookIds,
    ...(yardstickId === null ? [] : [yardstickId]),
    ...review.sets.flatMap(set => set.bands.flatMap(band => band.rulebookIds ?? [])),
  ]
  const unknown = asked.find(id => !known.has(id))
  return unknown === undefined
    ? null
    : {
        words: `This review is judged by the rulebook “${unknown}”, which neither it nor this version holds.`,
        why: `unknown rulebook ${unknown}`,
      }
}
