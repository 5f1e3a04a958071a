import { printDbm, printWatts, wattsFromDbm } from '../quantity'
import { scalarWords } from '../rules'
import type { AnyLimit } from '../step'

/** What a limit comes to, as a heading: `Why −16.0 dBm`, `Allowed: 1.50 kW`, `Allowed: at most 2.5 kHz`. */
export function limitWords(limit: AnyLimit, isCarrier = false): string {
  switch (limit.kind) {
    case 'limit':
      return isCarrier
        ? `Allowed: ${printWatts(wattsFromDbm(limit.limitDbm))}`
        : `Why ${printDbm(limit.limitDbm)}`
    case 'scalar':
      return `Allowed: ${scalarWords(limit.limit)}`
    case 'no-figure':
      return 'Why no figure'
    case 'cannot-judge':
      return 'Why it cannot be judged yet'
  }
}

/**
 * The limit itself, short: for a list of rulebooks. Empty where nothing but the rulebook as a whole is
 * silent.
 */
export function limitShort(limit: AnyLimit): string {
  if (limit.kind === 'limit') return printDbm(limit.limitDbm)
  if (limit.kind === 'scalar') return scalarWords(limit.limit)
  return limitSource(limit)[1] ?? ''
}

/** Where a limit stands: the rulebook, and its clause where one speaks. */
export function limitSource({ clause, rulebook }: AnyLimit): [title: string, clause?: string] {
  return clause === rulebook.title ? [rulebook.title] : [rulebook.title, clause]
}
