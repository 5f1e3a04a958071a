import { csvFormatRows } from 'd3-dsv'

/** A cell: numbers stay numbers; text is defused. */
export type CsvCell = string | number | null

/** Text that a spreadsheet would run as a formula. */
const FORMULA_START = /^[=+\-@\t\r]/
/** A number with a unit of letters at most: nothing a spreadsheet could run. */
const PLAIN_NUMBER = /^[+-]?\d+([.,]\d+)?( ?[a-zµΩ°%]{1,5})?$/i

/**
 * Writes rows as CSV (RFC 4180, CRLF). Text a spreadsheet would take for a formula gets an apostrophe
 * in front; numbers, negative ones too, stay numbers, and true minus signs become plain ones.
 */
export function writeCsv(rows: readonly (readonly CsvCell[])[]): string {
  return csvFormatRows(rows.map(row => row.map(cellText))).replaceAll('\n', '\r\n') + '\r\n'
}

function cellText(cell: CsvCell): string {
  if (cell === null) return ''
  if (typeof cell === 'number') return Number.isFinite(cell) ? String(cell) : ''
  const plain = cell.replaceAll('\u2212', '-')
  return FORMULA_START.test(plain) && !PLAIN_NUMBER.test(plain) ? `'${plain}` : plain
}
