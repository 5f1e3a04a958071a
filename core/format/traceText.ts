import { CoreError } from '../errors'
import { MAX_LINE_CHARACTERS, MAX_TRACE_ROWS } from './limits'

/** The text of a trace file taken apart into comment lines and the rest, with row numbers as in the file. */
export interface TraceText {
  comments: string[]
  rows: { number: number; text: string }[]
}

const COMMENT = /^\s*(#|!|\/\/|%|\*|')/

/**
 * Splits a trace file into lines: any line ending, a byte-order mark dropped, comments kept apart.
 * @throws CoreError `bad-file` for an empty file, a web page, or a line too long to be a row;
 * `too-large` for too many rows.
 */
export function traceText(text: string, fileName: string): TraceText {
  const body = text.charCodeAt(0) === 0xfeff ? text.slice(1) : text
  if (body.trim() === '') throw badFile(fileName, null, 'it is empty')
  if (/^\s*<(!doctype|html|\?xml|svg)/i.test(body))
    throw badFile(fileName, null, 'it is a web page or XML, whatever its name says')
  if (body.includes('\u0000')) throw badFile(fileName, null, 'it is not a text file')
  const result: TraceText = { comments: [], rows: [] }
  let number = 0
  for (const line of lines(body, fileName)) {
    number += 1
    if (line.trim() === '') continue
    if (COMMENT.test(line)) result.comments.push(line.replace(COMMENT, '').trim())
    else {
      if (result.rows.length >= MAX_TRACE_ROWS)
        throw new CoreError(
          'too-large',
          `“${fileName}” has more than ${MAX_TRACE_ROWS} rows. Nothing was brought in. Export fewer points.`,
          { fileName, got: number, max: MAX_TRACE_ROWS, unit: 'rows' },
        )
      result.rows.push({ number, text: line })
    }
  }
  return result
}

function* lines(body: string, fileName: string): Generator<string> {
  let from = 0
  let row = 0
  while (from <= body.length) {
    let to = from
    while (to < body.length && body.charCodeAt(to) !== 10 && body.charCodeAt(to) !== 13) to += 1
    row += 1
    if (to - from > MAX_LINE_CHARACTERS)
      throw badFile(fileName, row, `this line has ${to - from} characters, which no trace has`)
    yield body.slice(from, to)
    from = to + (body.charCodeAt(to) === 13 && body.charCodeAt(to + 1) === 10 ? 2 : 1)
  }
}

/** A refusal of a file in plain words; says that nothing was changed. */
export function badFile(fileName: string, row: number | null, why: string): CoreError<'bad-file'> {
  const where = row === null ? '' : ` (line ${row})`
  return new CoreError(
    'bad-file',
    `“${fileName}” was not brought in: ${why}${where}. Everything you had is as it was.`,
    { fileName, row, why },
  )
}
