import { parse as secureParse } from 'secure-json-parse'
import { CoreError } from '../../errors'
import { nestedTooDeep } from '../../json'
import { phrasebookSchema } from './schema'
import type { Phrasebook } from './types'

const FORMAT = 'rigorous-meter-phrasebook'
const FORM = 1

/** Most a phrasebook file may weigh, characters. */
export const MOST_PHRASEBOOK_CHARACTERS = 200_000

/** A phrasebook as a file. */
export function writePhrasebookFile(book: Phrasebook): string {
  return `${JSON.stringify({ format: FORMAT, formatVersion: FORM, ...book }, null, 2)}\n`
}

/**
 * Reads a phrasebook file, or refuses it in plain words.
 * @throws CoreError `bad-file` or `newer-version`.
 */
export function readPhrasebookFile(text: string, fileName: string): Phrasebook {
  if (text.length > MOST_PHRASEBOOK_CHARACTERS) throw refuse(fileName, 'it is larger than any phrasebook')
  const tooMuch = nestedTooDeep(text, { depth: 12, values: 5000 })
  if (tooMuch) throw refuse(fileName, tooMuch)
  const data = parsed(text, fileName)
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== FORMAT)
    throw refuse(fileName, 'it is not a phrasebook of Rigorous Meter')
  const { format: _format, formatVersion, $schema: _schema, ...rest } = data as Record<string, unknown>
  if (typeof formatVersion === 'number' && formatVersion > FORM)
    throw new CoreError(
      'newer-version',
      `“${fileName}” was written for a newer version (form ${formatVersion}; ` +
        `this one knows ${FORM}). Nothing was changed.`,
      { got: formatVersion, known: FORM },
    )
  const { error, value } = phrasebookSchema.validate(rest, { convert: false })
  if (error) throw refuse(fileName, `it is wrong at ${error.details[0]?.path.join(' › ') || 'the top'}`)
  return value as Phrasebook
}

function parsed(text: string, fileName: string): unknown {
  try {
    return secureParse(text.replace(/^\uFEFF/, ''), null, {
      protoAction: 'error',
      constructorAction: 'error',
    })
  } catch (cause) {
    throw refuse(fileName, text.trim() === '' ? 'it is empty' : 'it is not JSON, or it was cut short', cause)
  }
}

function refuse(fileName: string, why: string, cause?: unknown): CoreError<'bad-file'> {
  return new CoreError(
    'bad-file',
    `“${fileName}” was not opened: ${why}. Your phrasebooks are as they were.`,
    { fileName, row: null, why },
    { cause },
  )
}
