import { type CsvCell, writeCsv } from '../format'
import { setName } from '../review'
import { stations, type StationContext } from '../station'

const HEAD = ['set', 'station', 'band', 'frequencyMHz', 'level', 'slot', 'slotFrequencyMHz', 'asTyped', 'readingDbm', 'atRadioDbm', 'rangeDb', 'limitDbm', 'marginDb', 'probabilityComplies', 'verdict', 'words', 'clause', 'supply', 'at', 'chain', 'source'] as const

/** Every standing reading with what was computed from it, as CSV. */
export function readingsCsv(context: StationContext): string {
  const rows: CsvCell[][] = [[...HEAD]]
  for (const set of context.review.sets)
    for (const station of stations)
      for (const step of station.plan(set, context))
        for (const { slot, reading, corrected, limit, verdict, words } of station.evaluate(step, context).slots) {
          if (!reading) continue
          rows.push([
            setName(set), station.title, step.band.name, step.channel.frequencyHz / 1e6, step.level.name, slot.label, slot.frequencyHz / 1e6, reading.text, rounded(reading.levelDbm),
            rounded(corrected?.levelDbm), rounded(corrected?.budget.rangeDb), limit?.kind === 'limit' ? rounded(limit.limitDbm) : null, rounded(verdict.marginDb), rounded(verdict.probabilityComplies),
            verdict.state, words, limit?.clause ?? '', reading.supply, reading.at, context.chain(reading.chainId)?.name ?? '', reading.source.kind === 'file' ? reading.source.fileName : reading.source.kind,
          ])
        }
  return writeCsv(rows)
}

function rounded(value: number | null | undefined): number | null {
  return value === null || value === undefined ? null : Math.round(value * 1e4) / 1e4
}
