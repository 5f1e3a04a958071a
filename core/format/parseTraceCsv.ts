import { dbmFromDbuvPd } from '../quantity'
import type { TracePoints } from '../review'
import type { Detection } from '../uncertainty'
import { type CellReader, cellReader, DELIMITER_WORDS, findDelimiter, quoted } from './csvCells'
import {
  CLOCK_TIME,
  columnsOf,
  frequencyUnitOf,
  levelUnitOf,
  resolutionBandwidthIn,
  type TraceColumns,
} from './traceColumns'
import { detectionIn } from './traceDetection'
import { highestOfSweeps, inOrder } from './traceOrder'
import { badFile, traceText } from './traceText'

/** A trace read from a file, at the instrument's level. */
export interface ParsedTrace extends TracePoints {
  /** Resolution bandwidth named in the file, Hz; null when it names none. */
  resolutionBandwidthHz: number | null
  /** How its points show a level, as the file says or its sweeps do; null where it does not. */
  detection: Detection | null
  /** Columns a level could be taken from, and which was. */
  levelColumns: { index: number; name: string }[]
  levelColumn: number
  /** How the file was understood, in words to confirm. */
  understood: string[]
}

/**
 * Reads a trace of frequency and level: comma, semicolon or tab between, point or comma as decimal mark,
 * header or none, comment lines, byte-order mark, any line ending. Further columns may hold other levels (a
 * live and a held trace: `levelColumn` chooses) or, headed so, the time: of several sweeps one below the other
 * the highest level at each frequency is taken. Rows are put in rising order of frequency. Nothing is skipped
 * in silence: a cell that is no number refuses the file.
 * @throws CoreError `bad-file` or `too-large`, in plain words and with the line.
 */
export function parseTraceCsv(
  text: string,
  fileName: string,
  options: { levelColumn?: number } = {},
): ParsedTrace {
  const table = tableOf(text, fileName)
  const { header, columns } = table
  const levelColumn = levelColumnOf(table, options.levelColumn)
  const asWritten = numbersIn(table, 'frequency', columns.frequency)
  const frequencyUnit = frequencyUnitOf(header[columns.frequency], asWritten)
  const levelUnit = levelUnitOf(header[levelColumn])
  if (levelUnit === null)
    throw badFile(
      fileName,
      table.headerLine,
      `its level column is headed “${quoted(header[levelColumn])}”; known here are dBm and dBµV`,
    )
  const frequencies = asWritten.map(value => Math.round(value * frequencyUnit.factor * 1e3) / 1e3)
  const levels = numbersIn(table, 'level', levelColumn).map(value =>
    levelUnit.dbuv ? dbmFromDbuvPd(value) : value,
  )
  refuseWhatCannotBe(table, frequencies, levels)
  const sorted = inOrder(frequencies, levels)
  const folded = columns.time === null ? { points: sorted.points, sweeps: 1 } : highestOfSweeps(sorted.points)
  return {
    ...folded.points,
    levelColumns: columns.levels,
    levelColumn,
    resolutionBandwidthHz: resolutionBandwidthIn(table.preamble),
    detection: folded.sweeps > 1 ? { shows: 'highest', looks: folded.sweeps } : detectionIn(table.preamble),
    understood: [
      `${folded.points.frequenciesHz.length} points, columns parted by ${DELIMITER_WORDS[table.reader.delimiter]}.`,
      `Frequency ${frequencyUnit.words}; level ${levelUnit.words}.`,
      ...columnsTaken(table, levelColumn),
      ...(folded.sweeps > 1
        ? [`${folded.sweeps} sweeps in order of time; the highest level at each frequency was taken.`]
        : []),
      ...contradictions(folded.points),
      ...(sorted.wasSorted ? [] : ['The rows were not in order of frequency and were sorted.']),
    ],
  }
}

/** What is said of frequencies that stand there several times with levels that differ. */
function contradictions({ frequenciesHz, levelsDbm }: TracePoints): string[] {
  let count = 0
  let counted = Number.NaN
  for (let i = 1; i < frequenciesHz.length; i++) {
    if (frequenciesHz[i] !== frequenciesHz[i - 1] || levelsDbm[i] === levelsDbm[i - 1]) continue
    if (frequenciesHz[i] !== counted) count += 1
    counted = frequenciesHz[i]!
  }
  if (count === 0) return []
  const stand = count === 1 ? 'One frequency stands' : `${count} frequencies stand`
  return [
    `${stand} there several times with levels that differ: the middle of them is taken, and said in the range.`,
  ]
}

/** The figures of a file, and what stands above them. */
interface Table {
  fileName: string
  reader: CellReader
  preamble: string[]
  header: string[]
  headerLine: number | null
  columns: TraceColumns
  /** How many columns the first row of figures has. */
  wide: number
  rows: { line: number; cells: string[] }[]
}

function tableOf(text: string, fileName: string): Table {
  const { comments, rows } = traceText(text, fileName)
  const delimiter = findDelimiter(rows.slice(0, 200).map(row => row.text))
  if (delimiter === null)
    throw badFile(
      fileName,
      rows[0]?.number ?? null,
      'it has one column; a trace needs frequency and level, parted by comma, semicolon or tab',
    )
  const reader = cellReader(delimiter)
  const first = rows.findIndex(row => holdsFigures(reader.cells(row.text), reader))
  if (first < 0) throw badFile(fileName, null, 'no row in it has a number for frequency and one for level')
  const header = first > 0 ? reader.cells(rows[first - 1]!.text) : []
  const firstRow = reader.cells(rows[first]!.text)
  if (delimiter === ',' && firstRow.length === 4 && header.length === 2)
    throw badFile(
      fileName,
      rows[first]!.number,
      'commas part the columns and serve as decimal marks too; export it with semicolons or decimal points',
    )
  return {
    fileName,
    reader,
    preamble: [...comments, ...rows.slice(0, first).map(row => row.text)],
    header,
    headerLine: rows[first - 1]?.number ?? null,
    columns: columnsOf(header, firstRow.map(reader.isNumber)),
    wide: firstRow.length,
    rows: rows.slice(first).map(row => ({ line: row.number, cells: reader.cells(row.text) })),
  }
}

/** Two numbers, and nothing else but more columns after them or a time. */
function holdsFigures(cells: readonly string[], { isNumber }: CellReader): boolean {
  const others = cells.filter(cell => !isNumber(cell))
  if (cells.length - others.length < 2) return false
  const startsWithBoth = isNumber(cells[0]) && isNumber(cells[1])
  return startsWithBoth || others.every(cell => CLOCK_TIME.test(cell))
}

function levelColumnOf({ columns, fileName, rows }: Table, wanted: number | undefined): number {
  const chosen = columns.levels.find(({ index }) => index === wanted) ?? columns.levels[0]
  if (!chosen) throw badFile(fileName, rows[0]!.line, 'no column of levels stands beside the frequency')
  return chosen.index
}

function numbersIn(table: Table, what: 'frequency' | 'level', column: number): Float64Array {
  const { rows, reader, fileName } = table
  return Float64Array.from(rows, ({ line, cells }) => {
    const cell = cells[column]
    if (reader.isNumber(cell)) return reader.toNumber(cell)
    throw badFile(
      fileName,
      line,
      cell === undefined && what === 'level'
        ? 'the level is missing'
        : `the ${what} reads “${quoted(cell)}”, which is no number`,
    )
  })
}

function refuseWhatCannotBe(
  { fileName, rows }: Table,
  frequencies: Float64Array,
  levels: Float64Array,
): void {
  for (const [i, { line }] of rows.entries()) {
    if (!(frequencies[i]! > 0 && frequencies[i]! < 1e12))
      throw badFile(fileName, line, `a frequency of ${frequencies[i]} Hz cannot be`)
    if (!(levels[i]! > -300 && levels[i]! < 100))
      throw badFile(fileName, line, `a level of ${levels[i]} dBm cannot be`)
  }
}

function columnsTaken({ columns, wide }: Table, levelColumn: number): string[] {
  if (columns.levels.length > 1) {
    const { name } = columns.levels.find(({ index }) => index === levelColumn)!
    return [`The file has ${columns.levels.length} columns of levels; “${name}” was taken.`]
  }
  return wide > 2 && columns.time === null
    ? [`The file has ${wide} columns; frequency and level were taken.`]
    : []
}
