import { readFile } from 'node:fs/promises'
import { basename, extname } from 'node:path'
import {
  parseDischargeCsv,
  parseLogCsv,
  parseTouchstone,
  parseTraceCsv,
  tracePeaks,
  traceSpurs,
} from '#core/format'
import { parseLevel, printDb, printDbm, printFrequencyShort, printNumber, printVswr } from '#core/quantity'
import { vswrOfSweep } from '#core/station'
import { UsageError } from './usageError'

/** Kinds of files that hold tables, and what each is. */
export const TABLE_KINDS = ['trace', 'log', 'discharge', 'antenna'] as const
/** A kind of file that holds a table. */
export type TableKind = (typeof TABLE_KINDS)[number]

/** What is to be known of a table besides what is in it. */
export interface TableOptions {
  kind: TableKind | null
  /** Carrier whose harmonics are looked for in a trace, Hz; null: the strongest point. */
  carrierHz: number | null
  /** Load of a discharge that logged no current, A. */
  loadA: number | null
}

/** What was found in a table: figures, and lines for a person. */
export interface AnalysedTable {
  name: string
  kind: TableKind
  understood: string[]
  found: Record<string, unknown>
  lines: string[]
}

/** Whether a file is a table by its name. */
export const isTableName = (path: string): boolean => /\.(csv|tsv|txt|s[12]p)$/i.test(path)

/**
 * What the application finds in a trace, a log of power, a log of a discharge or a sweep of an antenna.
 * @throws CoreError in plain words, UsageError where nobody says what it is.
 */
export async function analyseTable(path: string, options: TableOptions): Promise<AnalysedTable> {
  const text = await readFile(path, 'utf8')
  const name = basename(path)
  switch (options.kind ?? kindByName(path)) {
    case 'trace':
      return traceFound(text, name, options)
    case 'log':
      return logFound(text, name)
    case 'discharge':
      return dischargeFound(text, name, options)
    case 'antenna':
      return antennaFound(text, name)
    case null:
      throw new UsageError(`“${name}”: say what it is with --kind ${TABLE_KINDS.join('|')}.`)
  }
}

function kindByName(path: string): TableKind | null {
  return /^\.s[12]p$/i.test(extname(path)) ? 'antenna' : null
}

/** Up to the tenth harmonic, as the station looks. */
const HIGHEST = 10
/** What narrow-band speech needs (16K0F3E). */
const NECESSARY_HZ = 16e3

function traceFound(text: string, name: string, { carrierHz }: TableOptions): AnalysedTable {
  const trace = parseTraceCsv(text, name)
  const strongest = trace.levelsDbm.indexOf(Math.max(...trace.levelsDbm))
  const carrier = carrierHz ?? trace.frequenciesHz[strongest]!
  const { resolutionBandwidthHz } = trace
  const { peaks, floorDbm, stepHz } = tracePeaks(trace, {
    carrierHz: carrier,
    highestHarmonic: HIGHEST,
    resolutionBandwidthHz,
    keepsHighest: false,
  })
  const spurs = traceSpurs(trace, {
    carrierHz: carrier,
    highestHarmonic: HIGHEST,
    floorDbm,
    resolutionBandwidthHz,
    necessaryBandwidthHz: NECESSARY_HZ,
  })
  const seen = peaks.flatMap(({ harmonic, peak, warning }) => (peak ? [{ harmonic, warning, ...peak }] : []))
  return {
    ...{ name, kind: 'trace', understood: trace.understood },
    found: { carrierHz: carrier, floorDbm, stepHz, peaks, spurs },
    lines: [
      `carrier ${printFrequencyShort(carrier)}, noise floor ${printDbm(floorDbm)}`,
      ...seen.map(
        ({ harmonic, levelDbm, isNoise, warning }) =>
          `×${harmonic}: ${isNoise ? 'noise, at most ' : ''}${printDbm(levelDbm)}${warning ? ` (${warning})` : ''}`,
      ),
      ...spurs.map(
        ({ frequencyHz, levelDbm }) => `spur ${printFrequencyShort(frequencyHz)}: ${printDbm(levelDbm)}`,
      ),
      ...(seen.length < peaks.length ? [`×${seen.length + 1} and on: beyond the trace`] : []),
    ],
  }
}

function logFound(text: string, name: string): AnalysedTable {
  const { rows, understood } = parseLogCsv(text, name, { bareUnit: 'W' })
  const levels = rows.flatMap(({ text: typed }) => {
    const read = parseLevel(typed, { bareUnit: 'W' })
    return read.ok ? [read.levelDbm] : []
  })
  const droopDb = levels.length > 1 ? levels.at(-1)! - levels[0]! : null
  const seconds = rows.at(-1)?.atS ?? 0
  return {
    ...{ name, kind: 'log', understood },
    found: {
      rows: rows.length,
      seconds,
      firstDbm: levels[0] ?? null,
      lastDbm: levels.at(-1) ?? null,
      droopDb,
    },
    lines: [
      `${rows.length} rows over ${printNumber(seconds, 0)} s`,
      ...(droopDb === null
        ? []
        : [`from ${printDbm(levels[0]!)} to ${printDbm(levels.at(-1)!)}: ${printDb(droopDb, 2)}`]),
    ],
  }
}

function dischargeFound(text: string, name: string, { loadA }: TableOptions): AnalysedTable {
  const log = parseDischargeCsv(text, name, { constantA: loadA })
  const { hours, capacityAh, betweenLinesAh, energyWh, lastV, understood, rows } = log
  return {
    ...{ name, kind: 'discharge', understood },
    found: { rows: rows.length, hours, capacityAh, betweenLinesAh, energyWh, lastV },
    lines: [
      `${printNumber(capacityAh, 3)} ±${printNumber(betweenLinesAh, 3)} Ah in ${printNumber(hours, 2)} h`,
      ...(energyWh === null
        ? []
        : [`${printNumber(energyWh, 2)} Wh, last ${lastV === null ? '–' : `${printNumber(lastV, 2)} V`}`]),
    ],
  }
}

function antennaFound(text: string, name: string): AnalysedTable {
  const sweep = parseTouchstone(text, name)
  const vswr = [...vswrOfSweep({ y: sweep.re, y2: sweep.im })]
  const best = vswr.indexOf(Math.min(...vswr))
  const range = usableAround(best, vswr, sweep.frequenciesHz)
  return {
    ...{ name, kind: 'antenna', understood: sweep.understood },
    found: {
      points: vswr.length,
      bestHz: sweep.frequenciesHz[best],
      bestVswr: vswr[best],
      range,
      bad: sweep.bad,
    },
    lines: [
      `best ${printVswr(vswr[best]!)} at ${printFrequencyShort(sweep.frequenciesHz[best]!)}`,
      range
        ? `2:1 or better from ${printFrequencyShort(range.fromHz)} to ${printFrequencyShort(range.toHz)}`
        : 'nowhere 2:1 or better',
      ...sweep.bad.map(({ line, why }) => `line ${line} was passed over: ${why}`),
    ],
  }
}

/** Points next to each other around the best that are 2:1 or better; null where none is. */
function usableAround(best: number, vswr: readonly number[], frequenciesHz: Float64Array) {
  if (vswr[best]! > 2) return null
  let [from, to] = [best, best]
  while (from > 0 && vswr[from - 1]! <= 2) from--
  while (to < vswr.length - 1 && vswr[to + 1]! <= 2) to++
  return { fromHz: frequenciesHz[from]!, toHz: frequenciesHz[to]! }
}
