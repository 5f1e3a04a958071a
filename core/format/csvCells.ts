import { dsvFormat } from 'd3-dsv'

/** What parts the cells of a line. */
export type Delimiter = ';' | '\t' | ','

/** What parts the cells, in words. */
export const DELIMITER_WORDS: Record<Delimiter, string> = { ';': 'semicolons', '\t': 'tabs', ',': 'commas' }

const NUMBER_POINT = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i
const NUMBER_COMMA = /^[+-]?(\d+,?\d*|,\d+)(e[+-]?\d+)?$/i

/** What parts the columns, judged by most of the lines; null for one column. */
export function findDelimiter(lines: readonly string[]): Delimiter | null {
  const share = (mark: string) => lines.filter(line => line.includes(mark)).length / Math.max(1, lines.length)
  if (share(';') > 0.5) return ';'
  if (share('\t') > 0.5) return '\t'
  return share(',') > 0.5 ? ',' : null
}

/** How the cells of one file are read: commas are decimal marks unless they part the columns. */
export interface CellReader {
  delimiter: Delimiter
  cells: (line: string) => string[]
  isNumber: (cell: string | undefined) => cell is string
  toNumber: (cell: string) => number
}

/**
 * Reads the lines of a file whose cells are parted so; a decimal comma is understood where commas part
 * nothing.
 */
export function cellReader(delimiter: Delimiter): CellReader {
  const parser = dsvFormat(delimiter)
  const commaDecimals = delimiter !== ','
  return {
    delimiter,
    cells: line => {
      const parted = line.includes('"') ? (parser.parseRows(line)[0] ?? []) : line.split(delimiter)
      const found = parted.map(cell => cell.trim())
      while (found.length > 2 && found[found.length - 1] === '') found.pop()
      return found
    },
    isNumber: (cell): cell is string =>
      cell !== undefined &&
      cell !== '' &&
      (NUMBER_POINT.test(tidy(cell)) || (commaDecimals && NUMBER_COMMA.test(tidy(cell)))),
    toNumber: cell => Number(commaDecimals ? tidy(cell).replace(',', '.') : tidy(cell)),
  }
}

function tidy(cell: string): string {
  return cell.replace(/[−–]/g, '-').replace(/[\s\u00a0\u202f]/g, '')
}

/** A cell as a message quotes it. */
export function quoted(cell: string | undefined): string {
  const text = cell ?? ''
  return text.length > 24 ? `${text.slice(0, 24)}…` : text
}
