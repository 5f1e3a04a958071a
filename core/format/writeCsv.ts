import { csvFormatRows } from 'd3-dsv'

/** A cell: numbers stay numbers; text is defused. */
export type CsvCell = string | number | null

/** Text that a spreadsheet would run as a formula. */
const FORMULA_START = /^[=+\-@\t\r\u2212]/
const PLAIN_NUMBER = /^[+-]?\d+([.,]\d+)?$/

/**
 * Writes rows as CSV (RFC 4180, CRLF). Text a spreadsheet would take for a formula gets an apostrophe
 * in front; numbers, negative ones too, stay numbers.
 */
export function writeCsv(rows: readonly (readonly CsvCell[])[]): string {
  return csvFormatRows(rows.map(row => row.map(cellText))).replaceAll('\n', '\r\n') + '\r\n'
}

function cellText(cell: CsvCell): string {
  if (cell === null) return ''
  if (typeof cell === 'number') return Number.isFinite(cell) ? String(cell) : ''
  return FORMULA_START.test(cell) && !PLAIN_NUMBER.test(cell) ? `'${cell}` : cell
}
