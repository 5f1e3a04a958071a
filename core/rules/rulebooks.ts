import { CoreError } from '../errors'
import { goodPractice } from './goodPractice.table'
import type { Rulebook } from './types'
import { usAmateur } from './usAmateur.table'

/** The rulebooks of law that ship with the product. */
export const rulebooks: readonly Rulebook[] = [usAmateur]

/** The yardsticks that ship with the product. */
export const yardsticks: readonly Rulebook[] = [goodPractice]

/**
 * A shipped rulebook by its id.
 * @throws CoreError `unknown-id`.
 */
export function rulebookById(id: string): Rulebook {
  const found = [...rulebooks, ...yardsticks].find(rulebook => rulebook.id === id)
  if (!found) throw new CoreError('unknown-id', `There is no rulebook “${id}” in this version.`, { kind: 'rulebook', id })
  return found
}
