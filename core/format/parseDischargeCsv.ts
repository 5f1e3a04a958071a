import { type CellReader, cellReader, findDelimiter, quoted } from './csvCells'
import { clockSeconds, runningTimes } from './logTimes'
import { badFile, traceText } from './traceText'

/** A log of a discharge, and what it adds up to. */
export interface DischargeLog {
  /** Seconds from the first line on; volts and amperes as far as they were logged. */
  rows: { atS: number; voltageV: number | null; currentA: number | null }[]
  hours: number
  capacityAh: number
  /** What taking the current as it was before, or after, each step would change, ± Ah. */
  betweenLinesAh: number
  /** null where no volts were logged. */
  energyWh: number | null
  lastV: number | null
  understood: string[]
}

/** What nobody logged: a constant load’s current, A; null where nobody says. */
export interface DischargeKnown {
  constantA: number | null
}

const MOST_ROWS = 500_000

interface Columns {
  timeScale: number
  volts: number | null
  amperes: number | null
  amperesScale: number
}

/**
 * Reads a log of a discharge: time in seconds (minutes or hours where the head says so, or a clock), volts, amperes,
 * in any order behind the time, told apart by the head. Without a column of amperes the load is taken as constant.
 * @throws CoreError `bad-file` in plain words and with the line.
 */
export function parseDischargeCsv(text: string, fileName: string, known: DischargeKnown): DischargeLog {
  const { rows } = traceText(text, fileName)
  const delimiter = findDelimiter(rows.slice(0, 50).map(row => row.text))
  if (!delimiter)
    throw badFile(fileName, rows[0]?.number ?? null, 'a log of a discharge has columns: time, volts, amperes')
  if (rows.length > MOST_ROWS)
    throw badFile(fileName, null, `it has more than ${MOST_ROWS} rows, which no log of a discharge needs`)
  const reader = cellReader(delimiter)
  const [first, ...rest] = rows
  const head = reader.cells(first!.text)
  const columns = columnsOf(head, fileName)
  if (columns.amperes === null && known.constantA === null)
    throw badFile(
      fileName,
      first!.number,
      'no column says amperes (A or mA in its head): type the constant current of the load first',
    )
  const read = rest.map(({ number, text: line }) => rowOf(line, number, { reader, columns, fileName }))
  if (read.length < 2) throw badFile(fileName, null, 'it has less than two lines with a time')
  return addedUp(read, columns, { ...known, fileName })
}

/** Which column is which, by the head. */
function columnsOf(head: readonly string[], fileName: string): Columns {
  if (clockSeconds(head[0] ?? '') !== null)
    throw badFile(
      fileName,
      1,
      'its first line must say which column is volts (V) and which amperes (A or mA)',
    )
  const unitAt = (pattern: RegExp) => {
    const at = head.findIndex((cell, i) => i > 0 && pattern.test(cell))
    return at < 0 ? null : at
  }
  const amperes = unitAt(/\bm?A\b|amp|current|strom/i)
  return {
    timeScale: timeScaleOf(head[0] ?? ''),
    volts: unitAt(/\bm?V\b|volt|spannung/i),
    amperes,
    amperesScale: amperes !== null && /\bmA\b|milliamp/i.test(head[amperes]!) ? 1e-3 : 1,
  }
}

function timeScaleOf(head: string): number {
  if (/\b(h|hours?|std)\b/i.test(head)) return 3600
  return /\bmin(utes?)?\b/i.test(head) ? 60 : 1
}

interface LogRow {
  number: number
  atS: number
  voltageV: number | null
  currentA: number | null
}

function rowOf(
  line: string,
  number: number,
  { reader, columns, fileName }: { reader: CellReader; columns: Columns; fileName: string },
): LogRow {
  const cells = reader.cells(line)
  const clock = clockSeconds(cells[0] ?? '')
  if (clock === null) throw badFile(fileName, number, `the time reads “${quoted(cells[0])}”, which is none`)
  const figure = (at: number | null, scale: number) => {
    if (at === null) return null
    const cell = cells[at]
    if (!reader.isNumber(cell)) throw badFile(fileName, number, `“${quoted(cell)}” is no number`)
    return reader.toNumber(cell) * scale
  }
  return {
    number,
    atS: clock * (/:/.test(cells[0]!) ? 1 : columns.timeScale),
    voltageV: figure(columns.volts, 1),
    currentA: figure(columns.amperes, columns.amperesScale),
  }
}

function addedUp(
  read: readonly LogRow[],
  columns: Columns,
  { constantA, fileName }: DischargeKnown & { fileName: string },
): DischargeLog {
  const { times, midnights } = runningTimes(read.map(({ atS }) => atS))
  const fell = times.findIndex((atS, i) => i > 0 && atS < times[i - 1]!)
  if (fell > 0)
    throw badFile(fileName, read[fell]!.number, 'the time goes back here: a log runs from first to last')
  const sign = signOf(read, fileName)
  const currents = read.map(({ currentA }) => (currentA === null ? constantA! : sign * currentA))
  const rows = read.map(({ voltageV, currentA }, i) => ({
    atS: times[i]! - times[0]!,
    voltageV,
    currentA: currentA === null ? null : currents[i]!,
  }))
  const hoursAt = rows.map(({ atS }) => atS / 3600)
  const byTrapezoids = (at: (i: number) => number) =>
    hoursAt.slice(1).reduce((sum, to, i) => sum + ((at(i) + at(i + 1)) / 2) * (to - hoursAt[i]!), 0)
  const apart = hoursAt
    .slice(1)
    .reduce((sum, to, i) => sum + (Math.abs(currents[i + 1]! - currents[i]!) / 2) * (to - hoursAt[i]!), 0)
  const volts = rows.flatMap(({ voltageV }) => voltageV ?? [])
  const hasVolts = volts.length === rows.length
  const hours = hoursAt.at(-1)!
  return {
    rows,
    hours,
    capacityAh: byTrapezoids(i => currents[i]!),
    betweenLinesAh: apart,
    energyWh: hasVolts ? byTrapezoids(i => currents[i]! * volts[i]!) : null,
    lastV: hasVolts ? volts.at(-1)! : null,
    understood: [
      `${rows.length} lines over ${hours.toFixed(2)} h.`,
      ...(columns.amperes === null ? [`Load taken as constant, ${constantA} A.`] : []),
      ...(sign < 0 ? ['Its currents are negative; turned round.'] : []),
      ...(midnights > 0 ? ['Its clock passes midnight: the day after is reckoned on.'] : []),
      ...gapWords(hoursAt),
    ],
  }
}

/** −1 where a discharge was logged as negative currents. */
function signOf(read: readonly LogRow[], fileName: string): 1 | -1 {
  const drawing = read.filter(({ currentA }) => currentA !== null && currentA > 0)
  const filling = read.filter(({ currentA }) => currentA !== null && currentA < 0)
  if (drawing.length > 0 && filling.length > 0) {
    const turned = drawing.length > filling.length ? filling[0]! : drawing[0]!
    throw badFile(
      fileName,
      turned.number,
      'the current changes its sign here: a charge and a discharge in one log. Cut it in two',
    )
  }
  return filling.length > 0 ? -1 : 1
}

/** So much longer than usual a step is a hole. */
const HOLE = 20

function gapWords(hoursAt: readonly number[]): string[] {
  const steps = hoursAt.slice(1).map((to, i) => to - hoursAt[i]!)
  const usual = [...steps].sort((a, b) => a - b)[steps.length >> 1]!
  const longest = steps.reduce((most, step) => Math.max(most, step), 0)
  return usual > 0 && longest > HOLE * usual
    ? [`Nothing was logged for ${(longest * 60).toFixed(0)} min; a straight line is taken there.`]
    : []
}
