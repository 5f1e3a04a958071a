import type Joi from 'joi'
import { parse as secureParse } from 'secure-json-parse'
import { CoreError } from '../errors'
import { nestedTooDeep } from '../json'
import { rulebookSchema } from './rulebookSchema'
import type { Rulebook } from './types'

/** Name of the form, and its version; the published JSON Schema is `/schema/rulebook-1.schema.json`. */
export const RULEBOOK_FORMAT = 'rigorous-meter-rulebook'
/** Form of rulebook files; raised when old files cannot be read as they are. */
const RULEBOOK_FORMAT_VERSION = 1

/** Most a rulebook file may weigh, characters. */
export const MAX_RULEBOOK_LENGTH = 2_000_000

/** A rulebook's own form is nine deep. */
const DEEPEST = { depth: 24, values: 200_000 }

/** Writes a rulebook as a file others can read, edit and bring in. */
export function writeRulebookFile(rulebook: Rulebook): string {
  const file = { format: RULEBOOK_FORMAT, formatVersion: RULEBOOK_FORMAT_VERSION, ...rulebook }
  return `${JSON.stringify(file, null, 2)}\n`
}

/**
 * Reads a rulebook file. What comes in is the reviewer's, whatever it says of itself.
 * @throws CoreError `bad-rulebook`, in plain words, with the place; `newer-version`.
 */
export function readRulebookFile(text: string, fileName: string): Rulebook {
  if (text.length > MAX_RULEBOOK_LENGTH) throw refuse(`“${fileName}” is larger than any rulebook`, '')
  const tooMuch = nestedTooDeep(text, DEEPEST)
  if (tooMuch) throw refuse(`“${fileName}” is no rulebook: ${tooMuch}`, '')
  let data: unknown
  try {
    data = secureParse(text.replace(/^\uFEFF/, ''), null, {
      protoAction: 'error',
      constructorAction: 'error',
    })
  } catch (cause) {
    throw refuse(
      text.trim() === '' ? `“${fileName}” is empty` : `“${fileName}” is not JSON, or it was cut short`,
      '',
      cause,
    )
  }
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== RULEBOOK_FORMAT)
    throw refuse(`“${fileName}” is not a rulebook of this product`, '')
  const {
    format: _format,
    formatVersion,
    $schema: _schema,
    ...rest
  } = data as { format: string; formatVersion?: unknown; $schema?: unknown }
  if (typeof formatVersion === 'number' && formatVersion > RULEBOOK_FORMAT_VERSION)
    throw new CoreError(
      'newer-version',
      `“${fileName}” was written for a newer version (form ${formatVersion}; ` +
        `this one knows ${RULEBOOK_FORMAT_VERSION}).`,
      { got: formatVersion, known: RULEBOOK_FORMAT_VERSION },
    )
  return { ...validateRulebook(rest), owner: 'reviewer' }
}

/**
 * Takes unknown data for a rulebook and fills in what may be left out.
 * @throws CoreError `bad-rulebook` that names the clause and the member that is wrong.
 */
export function validateRulebook(data: unknown): Rulebook {
  const { error, value } = rulebookSchema.validate(data, { abortEarly: true, convert: false })
  if (!error) return value as Rulebook
  const detail = error.details[0]!
  throw refuse(plain(detail), placeOf(detail.path, data), error)
}

function plain(detail: Joi.ValidationErrorItem): string {
  const member = String(detail.path.at(-1) ?? 'the rulebook')
  switch (detail.type) {
    case 'any.required':
      return `“${member}” is missing`
    case 'object.unknown':
      return `“${member}” is not known here; is it misspelt?`
    case 'any.only':
      return `“${member}” must be one of ${((detail.context?.valids as unknown[] | undefined) ?? []).join(', ')}`
    case 'number.base':
      return `“${member}” must be a number`
    case 'array.unique':
      return 'two clauses have the same id'
    case 'number.greater':
      return `“${member}” must be greater than ${String(detail.context?.limit)}`
    default:
      return `“${member}” ${detail.message.replace(/^".*?" /, '').replaceAll('"', '')}`
  }
}

function placeOf(path: readonly (string | number)[], data: unknown): string {
  if (path[0] !== 'clauses' || typeof path[1] !== 'number') return path.slice(0, -1).join(' › ')
  const clauses = (data as { clauses?: { id?: unknown }[] }).clauses
  const named = clauses?.[path[1]]?.id
  return [
    `clause ${typeof named === 'string' && named !== '' ? `“${named}”` : path[1] + 1}`,
    ...path.slice(2, -1).map(String),
  ].join(' › ')
}

function refuse(why: string, where: string, cause?: unknown): CoreError<'bad-rulebook'> {
  return new CoreError(
    'bad-rulebook',
    `${why.charAt(0).toUpperCase()}${why.slice(1)}${where ? ` (in ${where})` : ''}. Nothing was changed.`,
    { why, where },
    { cause },
  )
}
