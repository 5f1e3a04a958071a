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
  'skipped',
  'settings',
  'ownRulebooks',
]

/** Checks the names inside a review against each other; null where all meet. O(n). */
export function crossCheck(review: Review): CrossFault | null {
  return strayOf(review) ?? unknownRulebook(review)
}

function strayOf(review: Review): CrossFault | null {
  const sets = new Set(review.sets.map(({ id }) => id))
  const belonging: [string, readonly { setId: string; stepId: string }[]][] = [
    ['a reading', review.readings],
    ['a trace', review.traces],
    ['a curve', review.curves],
    ['a key-down', review.keyDowns],
    ['a note', review.notes],
    ['a picture', review.pictures],
    ['a step left out', review.skipped],
  ]
  for (const [what, list] of belonging) {
    const stray = list.find(({ setId }) => !sets.has(setId))
    if (stray)
      return {
        words: `This review holds ${what} of a set that is not in it.`,
        why: `${what} of step ${stray.stepId} names set ${stray.setId}`,
      }
  }
  return null
}

function unknownRulebook(review: Review): CrossFault | null {
  const known = new Set([...rulebooks, ...yardsticks, ...review.ownRulebooks].map(book => book.id))
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
