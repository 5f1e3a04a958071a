import { dsvFormat } from 'd3-dsv'
import { dbmFromDbuvPd } from '../quantity'
import type { TracePoints } from '../review'
import { badFile, traceText } from './traceText'

/** A trace read from a file, at the instrument's level. */
export interface ParsedTrace extends TracePoints {
  /** Resolution bandwidth named in the file, Hz; null when it names none. */
  resolutionBandwidthHz: number | null
  /** Columns a level could be taken from, and which was. */
  levelColumns: { index: number; name: string }[]
  levelColumn: number
  /** How the file was understood, in words to confirm. */
  understood: string[]
}

type Delimiter = ';' | '\t' | ','

const DELIMITER_WORDS: Record<Delimiter, string> = { ';': 'semicolons', '\t': 'tabs', ',': 'commas' }
const NUMBER_POINT = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i
const NUMBER_COMMA = /^[+-]?(\d+,?\d*|,\d+)(e[+-]?\d+)?$/i
const UNIT_HZ: Record<string, number> = { hz: 1, khz: 1e3, mhz: 1e6, ghz: 1e9 }

/**
 * Reads a trace of frequency and level: comma, semicolon or tab between, point or comma as decimal mark,
 * header or none,
 * comment lines, byte-order mark, any line ending. Further columns may hold other levels (a live and a held
 * trace: `levelColumn`
 * chooses) or, headed so, the time: of several sweeps one below the other the highest level at each frequency
 * is taken. Rows are put in
 * rising order of frequency. Nothing is skipped in silence: a cell that is no number refuses the file.
 * @throws CoreError `bad-file` or `too-large`, in plain words and with the line.
 */
export function parseTraceCsv(
  text: string,
  fileName: string,
  options: { levelColumn?: number } = {},
): ParsedTrace {
  const { comments, rows } = traceText(text, fileName)
  const delimiter = findDelimiter(rows.slice(0, 200).map(row => row.text))
  if (delimiter === null)
    throw badFile(
      fileName,
      rows[0]?.number ?? null,
      'it has one column; a trace needs frequency and level, parted by comma, semicolon or tab',
    )
  const parser = dsvFormat(delimiter)
  const cells = (line: string): string[] => {
    const found = (line.includes('"') ? (parser.parseRows(line)[0] ?? []) : line.split(delimiter)).map(cell =>
      cell.trim(),
    )
    while (found.length > 2 && found[found.length - 1] === '') found.pop()
    return found
  }
  const commaDecimals = delimiter !== ','
  const isNumber = (cell: string | undefined) =>
    cell !== undefined &&
    cell !== '' &&
    (NUMBER_POINT.test(tidy(cell)) || (commaDecimals && NUMBER_COMMA.test(tidy(cell))))
  const firstData = rows.findIndex(row => {
    const found = cells(row.text)
    const others = found.filter(cell => !isNumber(cell))
    return (
      found.length - others.length >= 2 &&
      (others.length === 0 ||
        (isNumber(found[0]) && isNumber(found[1])) ||
        others.every(cell => CLOCK_TIME.test(cell)))
    )
  })
  if (firstData < 0)
    throw badFile(fileName, null, 'no row in it has a number for frequency and one for level')
  const header = firstData > 0 ? cells(rows[firstData - 1]!.text) : []
  const preamble = [...comments, ...rows.slice(0, firstData).map(row => row.text)]
  if (delimiter === ',' && cells(rows[firstData]!.text).length === 4 && header.length === 2)
    throw badFile(
      fileName,
      rows[firstData]!.number,
      'commas part the columns and serve as decimal marks too; export it with semicolons or decimal points',
    )
  const firstRow = cells(rows[firstData]!.text)
  const wide = firstRow.length
  const columns = columnsOf(header, firstRow.map(isNumber))
  const levelColumn = columns.levels.some(({ index }) => index === options.levelColumn)
    ? options.levelColumn!
    : columns.levels[0]?.index
  if (levelColumn === undefined)
    throw badFile(fileName, rows[firstData]!.number, 'no column of levels stands beside the frequency')

  const count = rows.length - firstData
  const frequencies = new Float64Array(count)
  const levels = new Float64Array(count)
  for (let i = 0; i < count; i++) {
    const row = rows[firstData + i]!
    const found = cells(row.text)
    const [frequency, level] = [found[columns.frequency], found[levelColumn]]
    if (!isNumber(frequency))
      throw badFile(fileName, row.number, `the frequency reads “${short(frequency)}”, which is no number`)
    if (!isNumber(level))
      throw badFile(
        fileName,
        row.number,
        level === undefined
          ? 'the level is missing'
          : `the level reads “${short(level)}”, which is no number`,
      )
    frequencies[i] = toNumber(frequency!, commaDecimals)
    levels[i] = toNumber(level!, commaDecimals)
  }
  const frequencyUnit = frequencyUnitOf(header[columns.frequency], frequencies)
  const levelUnit = levelUnitOf(header[levelColumn])
  if (levelUnit === null)
    throw badFile(
      fileName,
      rows[firstData - 1]?.number ?? null,
      `its level column is headed “${short(header[levelColumn])}”; known here are dBm and dBµV`,
    )
  for (let i = 0; i < count; i++) {
    frequencies[i] = Math.round(frequencies[i]! * frequencyUnit.factor * 1e3) / 1e3
    if (levelUnit.dbuv) levels[i] = dbmFromDbuvPd(levels[i]!)
    if (!(frequencies[i]! > 0 && frequencies[i]! < 1e12))
      throw badFile(fileName, rows[firstData + i]!.number, `a frequency of ${frequencies[i]} Hz cannot be`)
    if (!(levels[i]! > -300 && levels[i]! < 100))
      throw badFile(fileName, rows[firstData + i]!.number, `a level of ${levels[i]} dBm cannot be`)
  }
  const sorted = inOrder(frequencies, levels)
  const folded = columns.time === null ? { points: sorted.points, sweeps: 1 } : highestOfSweeps(sorted.points)
  return {
    ...folded.points,
    levelColumns: columns.levels,
    levelColumn,
    resolutionBandwidthHz: resolutionBandwidthIn(preamble),
    understood: [
      `${folded.points.frequenciesHz.length} points, columns parted by ${DELIMITER_WORDS[delimiter]}.`,
      `Frequency ${frequencyUnit.words}; level ${levelUnit.words}.`,
      ...(columns.levels.length > 1
        ? [
            `The file has ${columns.levels.length} columns of levels; “${columns.levels.find(({ index }) => index === levelColumn)!.name}” was taken.`,
          ]
        : []),
      ...(folded.sweeps > 1
        ? [`${folded.sweeps} sweeps in order of time; the highest level at each frequency was taken.`]
        : []),
      ...(wide > 2 && columns.levels.length === 1 && columns.time === null
        ? [`The file has ${wide} columns; frequency and level were taken.`]
        : []),
      ...(sorted.wasSorted ? [] : ['The rows were not in order of frequency and were sorted.']),
    ],
  }
}

/** A time of day, with or without its date. */
const CLOCK_TIME = /\d{1,2}:\d{2}/
const TIME_HEADER = /^\W*(time|date|timestamp|t|seconds?|s)\b/i
const FREQUENCY_HEADER = /freq|(^|[^a-z])[kmg]?hz\b/i

/** Which column is what: by the header where it says, else frequency first and levels after. */
function columnsOf(
  header: readonly string[],
  numeric: readonly boolean[],
): { frequency: number; time: number | null; levels: { index: number; name: string }[] } {
  const all = numeric.map((_unused, index) => index)
  const time =
    all.find(index => TIME_HEADER.test(header[index] ?? '') && !FREQUENCY_HEADER.test(header[index] ?? '')) ??
    null
  const free = all.filter(index => index !== time)
  const frequency =
    free.find(
      index => FREQUENCY_HEADER.test(header[index] ?? '') && !/rbw|vbw|span/i.test(header[index] ?? ''),
    ) ?? free[0]!
  return {
    frequency,
    time,
    levels: free
      .filter(index => index !== frequency && numeric[index])
      .map(index => ({ index, name: header[index] || `column ${index + 1}` })),
  }
}

/** Of points in rising order of frequency, the highest level at each. */
function highestOfSweeps(points: TracePoints): { points: TracePoints; sweeps: number } {
  const frequencies: number[] = []
  const levels: number[] = []
  let sweeps = 1
  let run = 0
  for (let i = 0; i < points.frequenciesHz.length; i++) {
    const last = frequencies.length - 1
    if (points.frequenciesHz[i] === frequencies[last]) {
      levels[last] = Math.max(levels[last]!, points.levelsDbm[i]!)
      run += 1
    } else {
      frequencies.push(points.frequenciesHz[i]!)
      levels.push(points.levelsDbm[i]!)
      run = 1
    }
    sweeps = Math.max(sweeps, run)
  }
  return {
    points: { frequenciesHz: Float64Array.from(frequencies), levelsDbm: Float64Array.from(levels) },
    sweeps,
  }
}

function findDelimiter(lines: readonly string[]): Delimiter | null {
  const share = (mark: string) => lines.filter(line => line.includes(mark)).length / Math.max(1, lines.length)
  if (share(';') > 0.5) return ';'
  if (share('\t') > 0.5) return '\t'
  return share(',') > 0.5 ? ',' : null
}

function tidy(cell: string): string {
  return cell.replace(/[−–]/g, '-').replace(/[\s\u00a0\u202f]/g, '')
}

function toNumber(cell: string, commaDecimals: boolean): number {
  const plain = tidy(cell)
  return Number(commaDecimals ? plain.replace(',', '.') : plain)
}

function short(cell: string | undefined): string {
  const text = cell ?? ''
  return text.length > 24 ? `${text.slice(0, 24)}…` : text
}

function frequencyUnitOf(
  header: string | undefined,
  values: Float64Array,
): { factor: number; words: string } {
  const named = /(?:^|[^a-z])([kmg]?hz)(?:$|[^a-z])/i.exec(header ?? '')?.[1]?.toLowerCase()
  if (named)
    return {
      factor: UNIT_HZ[named]!,
      words: `in ${named.replace('hz', 'Hz').replace('m', 'M').replace('g', 'G')} as headed`,
    }
  let largest = 0
  for (let i = 0; i < values.length; i++) if (values[i]! > largest) largest = values[i]!
  if (largest >= 1e6) return { factor: 1, words: 'taken as Hz (the header does not say)' }
  if (largest >= 30_000) return { factor: 1e3, words: 'taken as kHz (the header does not say)' }
  return largest > 13
    ? { factor: 1e6, words: 'taken as MHz (the header does not say)' }
    : { factor: 1e9, words: 'taken as GHz (the header does not say)' }
}

function levelUnitOf(header: string | undefined): { dbuv: boolean; words: string } | null {
  const name = (header ?? '').toLowerCase().replace(/[µμ]/g, 'u')
  if (/dbm(?!v)/.test(name)) return { dbuv: false, words: 'in dBm as headed' }
  if (/dbuv/.test(name)) return { dbuv: true, words: 'in dBµV as headed, turned into dBm in 50 Ω' }
  if (/dbmv|dbv|dbfs|dbc|\bv\b|\bmw\b|\bw\b|watt|volt/.test(name)) return null
  return { dbuv: false, words: 'taken as dBm (the header does not say)' }
}

function resolutionBandwidthIn(lines: readonly string[]): number | null {
  for (const line of lines) {
    const match = /(?:\brbw\b|resolution\s*band\s*width)[^\d]{0,16}(\d+(?:[.,]\d+)?)\s*([kmg]?hz)?/i.exec(
      line,
    )
    if (match?.[1])
      return Number(match[1].replace(',', '.')) * (UNIT_HZ[(match[2] ?? 'hz').toLowerCase()] ?? 1)
  }
  return null
}

function inOrder(
  frequenciesHz: Float64Array,
  levelsDbm: Float64Array,
): { points: TracePoints; wasSorted: boolean } {
  let wasSorted = true
  for (let i = 1; i < frequenciesHz.length; i++)
    if (frequenciesHz[i]! < frequenciesHz[i - 1]!) wasSorted = false
  if (wasSorted) return { points: { frequenciesHz, levelsDbm }, wasSorted }
  const order = Uint32Array.from(frequenciesHz.keys()).sort((a, b) => frequenciesHz[a]! - frequenciesHz[b]!)
  return {
    points: {
      frequenciesHz: Float64Array.from(order, i => frequenciesHz[i]!),
      levelsDbm: Float64Array.from(order, i => levelsDbm[i]!),
    },
    wasSorted,
  }
}
