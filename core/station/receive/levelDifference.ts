import type { Context } from '../../context'
import type { Found } from '../../step'
import { budget, contribution, type Contribution, type Distribution } from '../../uncertainty'

/** One more line of a difference of levels, dB. */
export interface DifferenceLine {
  id: string
  label: string
  group: Contribution['group']
  halfWidth: number
  distribution?: Distribution
  assumed?: boolean
}

/** Groups whose errors are the same error where the very same part stands in both ways. */
const SHARED_GROUPS: readonly Contribution['group'][] = ['part', 'mismatch']

/**
 * What a difference of two levels at one socket leaves open: parts both ways go through cancel, and so does the
 * generator where it is the same one at nearly the same level.
 */
export function levelDifference(
  first: Found,
  second: Found,
  given: { lines: readonly DifferenceLine[]; sameGenerator: boolean },
  context: Context,
): Found {
  const groups = given.sameGenerator ? [...SHARED_GROUPS, 'instrument' as const] : SHARED_GROUPS
  const [ofFirst, ofSecond] = [first, second].map(({ budget: { contributions } }) => contributions)
  const cancels = (one: Contribution, others: readonly Contribution[]) =>
    groups.includes(one.group) && others.some(({ id }) => id === one.id)
  const isStep = ({ group }: Contribution) => group === 'resolution'
  const lines = [
    ...ofFirst!.filter(one => !cancels(one, ofSecond!) && !isStep(one)),
    ...ofSecond!
      .filter(one => !cancels(one, ofFirst!) && !isStep(one))
      .map(one => ({ ...one, id: `reference:${one.id}`, label: `${one.label}, reference` })),
    ...given.lines
      .filter(({ halfWidth }) => halfWidth > 0)
      .map(line => contribution({ distribution: line.distribution ?? 'rectangular', ...line })),
  ]
  return {
    value: first.value - second.value,
    unit: 'dB',
    budget: budget(lines, context.distributions),
    isUpperBound: false,
    path: null,
    notes: [],
  }
}
