import { type CsvCell, writeCsv } from '../format'
import { setName } from '../review'
import { stations, type StationContext } from '../station'

const HEAD = [
  'set',
  'station',
  'band',
  'frequencyMHz',
  'level',
  'slot',
  'slotFrequencyMHz',
  'asTyped',
  'readingDbm',
  'figure',
  'figureUnit',
  'atRadioDbm',
  'rangeDb',
  'limitDbm',
  'marginDb',
  'probabilityComplies',
  'verdict',
  'words',
  'clause',
  'supply',
  'ambientC',
  'who',
  'at',
  'chain',
  'source',
] as const

/** Every standing reading with what was computed from it, as CSV. */
export function readingsCsv(context: StationContext): string {
  const rows: CsvCell[][] = [[...HEAD]]
  for (const set of context.review.sets)
    for (const station of stations)
      for (const step of station.plan(set, context))
        for (const { slot, reading, corrected, figure, limit, verdict, words } of station.evaluate(
          step,
          context,
        ).slots) {
          const taken = reading ?? figure?.reading
          if (!taken) continue
          rows.push([
            setName(set),
            station.title,
            step.band.name,
            step.channel.frequencyHz / 1e6,
            step.level.name,
            slot.label,
            slot.frequencyHz / 1e6,
            taken.text,
            rounded(reading?.levelDbm),
            rounded(figure?.value),
            figure?.unit ?? '',
            rounded(corrected?.levelDbm),
            rounded(corrected?.budget.rangeDb),
            limit?.kind === 'limit' ? rounded(limit.limitDbm) : null,
            rounded(verdict.marginDb),
            rounded(verdict.probabilityComplies),
            verdict.state,
            words,
            limit?.clause ?? '',
            taken.supply,
            taken.ambientC,
            taken.who,
            taken.at,
            context.chain(taken.chainId)?.name ?? '',
            'fileName' in taken.source ? taken.source.fileName : taken.source.kind,
          ])
        }
  return writeCsv(rows)
}

function rounded(value: number | null | undefined): number | null {
  return value === null || value === undefined ? null : Math.round(value * 1e4) / 1e4
}
