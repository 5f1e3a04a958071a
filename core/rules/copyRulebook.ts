import type { Rulebook } from './types'

/** A copy of a rulebook that belongs to the reviewer; limits in it count as theirs, not as recalled. */
export function copyRulebook(rulebook: Rulebook, id: string): Rulebook {
  const copy = JSON.parse(JSON.stringify(rulebook)) as Rulebook
  return { ...copy, id, title: `${rulebook.title}, my copy`, owner: 'reviewer', basedOn: rulebook.id }
}
