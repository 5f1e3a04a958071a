import { parseLevel } from '../quantity'
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
    secondsOf(rows[0]!.text.split(delimiter)[0]!) === null ? (rows[0]!.text.split(delimiter)[1] ?? '') : ''
  const bareUnit = unitIn(header) ?? options.bareUnit
  const body = header || secondsOf(rows[0]!.text.split(delimiter)[0]!) === null ? rows.slice(1) : rows
  const found = body.map(({ number, text: line }) => {
    const [time = '', power = ''] = line.split(delimiter)
    const atS = secondsOf(time)
    if (atS === null)
      throw badFile(fileName, number, `the time reads “${time.trim().slice(0, 24)}”, which is none`)
    const plain = power.trim()
    const read = parseLevel(plain, { bareUnit })
    if (!read.ok) throw badFile(fileName, number, `the power reads “${plain.slice(0, 24)}”, which is none`)
    return { atS, text: /[a-zµ]/i.test(plain) ? plain : `${plain} ${bareUnit}` }
  })
  if (found.length === 0) throw badFile(fileName, null, 'it has no line with a time and a power')
  const first = found[0]!.atS
  return {
    rows: found.map(row => ({ ...row, atS: row.atS - first })),
    understood: [`${found.length} lines, power in ${bareUnit} where no unit stands.`],
  }
}

function secondsOf(text: string): number | null {
  const plain = text.trim().replace(/^"|"$/g, '').replace(',', '.')
  const clock = /(?:^|\s|T)(?:(\d{1,2}):)?(\d{1,2}):(\d{1,2}(?:\.\d+)?)Z?$/.exec(plain)
  if (clock) return Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + Number(clock[3])
  return /^\d+(\.\d+)?\s*s?$/.test(plain) ? parseFloat(plain) : null
}

function unitIn(header: string): 'dBm' | 'W' | null {
  if (/dbm/i.test(header)) return 'dBm'
  return /\bw\b|watt/i.test(header) ? 'W' : null
}
