import type { Context } from '../context'
import { valueWords } from '../judging'
import type { Plot, StripRow } from '../plot'
import { nameBeside, type RadioSet } from '../review'
import { isRead, placeWords, type SlotResult, type StepResult } from '../step'
import type { Station } from './contract'

/** Rows that are kept of a drawing of strips; how many more there are is said. */
const MOST_ROWS = 40

/** What a station draws of some radios: its own, or every figure with its strip; empty where nothing was read. */
export function stationPlots(station: Station, sets: readonly RadioSet[], context: Context): Plot[] {
  return station.plots?.(sets, context) ?? strips(station, sets, context)
}

function strips(station: Station, sets: readonly RadioSet[], context: Context): Plot[] {
  const rows = sets.flatMap(set =>
    station
      .plan(set, context)
      .flatMap(step => rowsOf(station.evaluate(step, context), sets.length > 1 ? nameBeside(set, sets) : '')),
  )
  if (rows.length === 0) return []
  const sorted = rows.toSorted((a, b) => gravity(b) - gravity(a)).slice(0, MOST_ROWS)
  return [
    {
      kind: 'strips',
      id: station.id,
      stationId: station.id,
      title: station.title,
      subtitle: 'Each figure with how far inside or outside it is; the mark’s line is its 95 % range',
      spoken: `${station.title}. ${sorted.map(({ label, words }) => `${label}: ${words}`).join('; ')}.`,
      rows: sorted,
      more: rows.length - sorted.length,
    },
  ]
}

function rowsOf({ step, slots }: StepResult, name: string): StripRow[] {
  const read = slots.filter(isRead)
  const shown = read.some(({ verdict }) => verdict.state !== 'observation')
    ? read.filter(({ verdict }) => verdict.state !== 'observation')
    : read
  return shown.map(result => ({
    label: [name, result.slot.label, placeWords(step)].filter(Boolean).join(', '),
    words: wordsOf(result),
    verdict: result.verdict.margin === null ? null : result.verdict,
  }))
}

function wordsOf(result: SlotResult): string {
  const value = result.found ? valueWords(result) : ''
  return value === '' || result.words.includes(value) ? result.words : `${value}, ${result.words}`
}

const ORDER = ['observation', 'no-figure', 'not-covered', 'inside', 'too-close', 'outside'] as const

/** What is worst stands first. */
function gravity({ verdict }: StripRow): number {
  return verdict === null
    ? 0
    : ORDER.indexOf(verdict.state) * 1e6 - (verdict.margin ?? 0) / verdict.perStripDb
}
