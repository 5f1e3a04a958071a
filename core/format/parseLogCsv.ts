import { parseLevel } from '../quantity'
import { clockSeconds, runningTimes } from './logTimes'
import { badFile, traceText } from './traceText'

/** A log of power over time. */
export interface PowerLog {
  rows: { atS: number; text: string }[]
  understood: string[]
}

const MOST_ROWS = 100_000

/**
 * Reads a log of time and power, two columns: seconds, `m:ss` or `h:mm:ss`, and a power with or without its
 * unit. The first line’s time is
 * taken as nought. A header and comment lines are passed over.
 * @throws CoreError `bad-file` in plain words and with the line.
 */
export function parseLogCsv(text: string, fileName: string, options: { bareUnit: 'W' | 'dBm' }): PowerLog {
  const { rows } = traceText(text, fileName)
  const delimiter = [';', '\t', ','].find(
    mark => rows.slice(0, 50).filter(row => row.text.includes(mark)).length > rows.slice(0, 50).length / 2,
  )
  if (!delimiter) throw badFile(fileName, rows[0]?.number ?? null, 'a log needs two columns, time and power')
  if (rows.length > MOST_ROWS)
    throw badFile(fileName, null, `it has more than ${MOST_ROWS} rows, which no log of power has`)
  const header =
    clockSeconds(rows[0]!.text.split(delimiter)[0]!) === null ? (rows[0]!.text.split(delimiter)[1] ?? '') : ''
  const bareUnit = unitIn(header) ?? options.bareUnit
  const body = header || clockSeconds(rows[0]!.text.split(delimiter)[0]!) === null ? rows.slice(1) : rows
  const found = body.map(({ number, text: line }) => {
    const [time = '', power = ''] = line.split(delimiter)
    const atS = clockSeconds(time)
    if (atS === null)
      throw badFile(fileName, number, `the time reads “${time.trim().slice(0, 24)}”, which is none`)
    const plain = power.trim()
    const read = parseLevel(plain, { bareUnit })
    if (!read.ok) throw badFile(fileName, number, `the power reads “${plain.slice(0, 24)}”, which is none`)
    return { atS, text: /[a-zµ]/i.test(plain) ? plain : `${plain} ${bareUnit}` }
  })
  if (found.length === 0) throw badFile(fileName, null, 'it has no line with a time and a power')
  const { times, midnights } = runningTimes(found.map(({ atS }) => atS))
  const fell = times.findIndex((atS, i) => i > 0 && atS < times[i - 1]!)
  if (fell > 0)
    throw badFile(fileName, body[fell]!.number, 'the time goes back here: a log runs from first to last')
  return {
    rows: found.map((row, i) => ({ ...row, atS: times[i]! - times[0]! })),
    understood: [
      `${found.length} lines, power in ${bareUnit} where no unit stands.`,
      ...(midnights > 0 ? ['Its clock passes midnight: the day after is reckoned on.'] : []),
    ],
  }
}

function unitIn(header: string): 'dBm' | 'W' | null {
  if (/dbm/i.test(header)) return 'dBm'
  return /\bw\b|watt/i.test(header) ? 'W' : null
}
