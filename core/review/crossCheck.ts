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

/** Checks the names inside a review against each other; null where all meet. O(n). */
export function crossCheck(review: Review): CrossFault | null {
  return strayOf(review) ?? unknownRulebook(review)
}

function strayOf(review: Review): CrossFault | null {
  const sets = new Set(review.sets.map(({ id }) => id))
  for (const [field, what] of Object.entries(OF_A_SET)) {
    const list: readonly { setId: string; stepId: string }[] = review[field as keyof typeof OF_A_SET]
    const stray = list.find(({ setId }) => !sets.has(setId))
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

function unknownRulebook(review: Review): CrossFault | null {
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
