import { type ClauseLine, clauseWords } from './clauseWords'
import type { Rulebook } from './types'

/** One clause that two rulebooks do not have alike; null where one of them does not have it. */
export interface ClauseChange {
  id: string
  before: ClauseLine | null
  after: ClauseLine | null
}

/**
 * What changed from one edition of a rulebook to another: clauses by their id, each as a person reads it. Those that
 * read the same are left out.
 */
export function compareRulebooks(before: Rulebook, after: Rulebook): ClauseChange[] {
  const [old, now] = [linesById(before), linesById(after)]
  const ids = new Set([...old.keys(), ...now.keys()])
  return [...ids].flatMap(id => {
    const change = { id, before: old.get(id) ?? null, after: now.get(id) ?? null }
    return readsAlike(change) ? [] : [change]
  })
}

const linesById = (rulebook: Rulebook) => new Map(clauseWords(rulebook).map(line => [line.id, line]))

function readsAlike({ before, after }: ClauseChange): boolean {
  return before !== null && after !== null && JSON.stringify(before) === JSON.stringify(after)
}
