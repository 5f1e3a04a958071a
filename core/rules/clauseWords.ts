import { printDb, printFrequencyShort, printWatts } from '../quantity'
import type { Rulebook } from './types'

/** One line of a rulebook, in words. */
export interface ClauseLine {
  id: string
  clause: string
  fundamental: string
  power: string
  asks: string
}

/** A rulebook as lines to read before testing. */
export function clauseWords(rulebook: Rulebook): ClauseLine[] {
  const range = (carrier: { fromHz: number; toHz: number }) => carrier.toHz >= 299e9 ? `above ${printFrequencyShort(Math.round(carrier.fromHz))}` : `${printFrequencyShort(carrier.fromHz)} to ${printFrequencyShort(Math.round(carrier.toHz))}`
  return [
    ...rulebook.limits.map(limit => ({
      id: limit.id, clause: limit.clause, fundamental: range(limit.carrier),
      power: Number.isFinite(limit.power.upToW) ? `up to ${printWatts(limit.power.upToW, 2)}` : limit.power.aboveW > 0 ? `above ${printWatts(limit.power.aboveW, 2)}` : 'any',
      asks: limit.demands.map(demand => demand.kind === 'absolute' ? `at most ${printWatts(demand.powerW, 2)}` : `at least ${printDb(demand.attenuationDb, 0)} down`).join(' and ')
        + (limit.needNotBeBelowW === null ? '' : `; nothing asked below ${printWatts(limit.needNotBeBelowW, 2)}`),
    })),
    ...rulebook.noFigure.map(entry => ({ id: entry.clause, clause: entry.clause, fundamental: range(entry.carrier), power: 'any', asks: entry.words })),
  ]
}
