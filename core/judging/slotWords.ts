import {
  figureWords,
  printHalfWidth,
  printRange,
  printSigned,
  printWatts,
  UNIT_SPACE,
  wattsFromDbm,
} from '../quantity'
import type { Reading } from '../review'
import type { SlotResult } from '../step'

/** A reading as it was seen, with what a generator was set to: `13.4 at −120.4 dBm`. */
export function readWords({ text, applied }: Pick<Reading, 'text' | 'applied'>): string {
  const levels = Object.values(applied).map(
    ({ value, unit }) => `${printSigned(value, 1)}${UNIT_SPACE}${unit}`,
  )
  return levels.length > 0 ? `${text} at ${levels.join(', ')}` : text
}

/** What a slot comes to: power at the socket, or the figure itself. */
export function valueWords({ found }: Pick<SlotResult, 'found'>): string {
  if (!found) return '–'
  if (found.path?.signal === 'to-radio')
    return `${found.isUpperBound ? 'at most ' : ''}${printSigned(found.value, 1)}${UNIT_SPACE}dBm`
  if (found.path) return `${found.isUpperBound ? '< ' : ''}${printWatts(wattsFromDbm(found.value))}`
  return `${found.isUpperBound ? 'at most ' : ''}${figureWords(found.value, found.unit)}`
}

/**
 * The 95 % range of a slot in its own unit; a dash where nothing is left open, or nothing but the last digit
 * of what is only noted down.
 */
export function rangeWords({ found, verdict }: Pick<SlotResult, 'found' | 'verdict'>): string {
  if (!found) return '–'
  if (found.path) return printRange(found.budget)
  const leavesOpen = found.budget.contributions.some(
    ({ group }) => verdict.state !== 'observation' || group !== 'resolution',
  )
  return leavesOpen ? printHalfWidth(found.budget.range, found.budget.unit) : '–'
}
