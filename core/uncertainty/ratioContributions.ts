import type { Contribution } from './contribution'
import { symmetric } from './symmetric'

/**
 * What is left open in the difference of two readings (dBc): the errors both share cancel, the others
 * of both stay. Errors are the same when their `sharedKey` is.
 * @returns contributions of first − second; every shape but the skewed ones is symmetric, so the sign of the
 *   second does not matter,
 * and the skewed ones of the second are turned round to first order by taking their symmetric form.
 * @see handbook, section 5: “dBc is not the difference of two independent readings”.
 */
export function ratioContributions(
  first: readonly Contribution[],
  second: readonly Contribution[],
): Contribution[] {
  const keys = (list: readonly Contribution[]) => new Set(list.flatMap(({ sharedKey }) => sharedKey ?? []))
  const inFirst = keys(first)
  const inSecond = keys(second)
  return [
    ...first.filter(({ sharedKey }) => sharedKey === null || !inSecond.has(sharedKey)),
    ...second
      .filter(({ sharedKey }) => sharedKey === null || !inFirst.has(sharedKey))
      .map(one => symmetric(one, { id: `carrier:${one.id}`, label: `${one.label}, carrier` })),
  ]
}
