import Joi from 'joi'
import { parse as secureParse } from 'secure-json-parse'
import {
  bundleOf,
  REVIEW_FORMAT,
  REVIEW_SCHEMA_VERSION,
  type ReviewBundle,
  type ReviewFileShape,
  writtenBy,
} from '../bundle'
import { CoreError } from '../errors'
import { nestedTooDeep } from '../json'
import { type LeftOut, salvageReview } from './salvageReview'
import { validateReview } from './validateReview'

/** A review's own form is some twelve deep. */
const DEEPEST = 40

/** Most points a trace or a curve may have. */
const MOST_POINTS = 2_000_000

/** A long row of figures: looked at one by one without a schema for each, which would take a second a million. */
const rowOf = (isPoint: (value: unknown) => boolean) =>
  Joi.any()
    .required()
    .custom((value: unknown, helpers) =>
      Array.isArray(value) && value.length <= MOST_POINTS && value.every(isPoint)
        ? value
        : helpers.error('any.invalid'),
    )
const numbers = rowOf(Number.isFinite)
const gapped = rowOf(value => value === null || Number.isFinite(value))

/** Records of bytes as data URLs. */
function bytesOf(pattern: RegExp, most: number) {
  const dataUrl = Joi.string().pattern(pattern).max(20_000_000).required()
  return Joi.array()
    .items(Joi.object({ id: Joi.string().max(80).required(), dataUrl }))
    .max(most)
}

const envelope = Joi.object<ReviewFileShape>({
  format: Joi.valid(REVIEW_FORMAT).required(),
  schemaVersion: Joi.number().integer().min(1).required(),
  writtenBy: Joi.string().max(100).required(),
  writtenAt: Joi.string().isoDate().required(),
  review: Joi.object().required(),
  traces: Joi.array()
    .items(Joi.object({ id: Joi.string().max(80).required(), frequenciesHz: numbers, levelsDbm: numbers }))
    .max(2000)
    .required(),
  curves: Joi.array()
    .items(Joi.object({ id: Joi.string().max(80).required(), x: numbers, y: gapped, y2: gapped }))
    .max(5000),
  pictures: bytesOf(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]*$/, 2000),
  clips: bytesOf(/^data:audio\/wav;base64,[A-Za-z0-9+/=]*$/, 2000),
})

/** Writes a review and its traces as one JSON text. Numbers keep every digit. */
export function writeReviewFile(bundle: ReviewBundle, stamp: { version: string; at: string }): string {
  const file: ReviewFileShape = {
    format: REVIEW_FORMAT,
    schemaVersion: REVIEW_SCHEMA_VERSION,
    writtenBy: writtenBy(stamp.version),
    writtenAt: stamp.at,
    review: bundle.review,
    traces: [...bundle.traces].map(([id, points]) => ({
      id,
      frequenciesHz: [...points.frequenciesHz],
      levelsDbm: [...points.levelsDbm],
    })),
    curves: [...bundle.curves].map(([id, { x, y, y2 }]) => ({
      id,
      x: [...x],
      y: withGaps(y),
      y2: withGaps(y2),
    })),
    pictures: [...bundle.pictures].map(([id, dataUrl]) => ({ id, dataUrl })),
    clips: [...bundle.clips].map(([id, dataUrl]) => ({ id, dataUrl })),
  }
  return JSON.stringify(file, null, 1)
}

/** A review file that was read, and what of it is not there. */
export interface ReadReview extends ReviewBundle {
  /** Traces, curves, pictures and clips without their points or bytes, in words; their figures are there. */
  missing: string[]
}

/**
 * Reads a review file, or refuses it in plain words. A trace, curve, picture or clip whose points or bytes are not in
 * it is told, and the rest comes in.
 * @throws CoreError `bad-file`, `bad-review` or `newer-version`.
 */
export function readReviewFile(text: string, fileName: string): ReadReview {
  const file = envelopeOf(text, fileName)
  return withMissing(bundleOf(file, validateReview(file.review)))
}

/**
 * Reads what is sound of a review file whose review is damaged.
 * @returns null where nothing of a review can be found.
 * @throws CoreError `bad-file` or `newer-version` where not even the frame can be read.
 */
export function salvageReviewFile(
  text: string,
  fileName: string,
  given: { id: string; title: string; at: string },
): (ReadReview & { left: LeftOut[] }) | null {
  const file = envelopeOf(text, fileName)
  const salvaged = salvageReview(file.review, given)
  return salvaged && { ...withMissing(bundleOf(file, salvaged.review)), left: salvaged.left }
}

/** Traces, curves, pictures and clips of a review whose points or bytes are not in its bundle, in words. */
export function missingIn({ review, ...there }: ReviewBundle): string[] {
  return [
    ...review.traces.filter(({ id }) => !there.traces.has(id)).map(one => `the trace “${one.fileName}”`),
    ...review.curves.filter(({ id }) => !there.curves.has(id)).map(one => `a curve of “${one.fileName}”`),
    ...review.pictures.filter(({ id }) => !there.pictures.has(id)).map(one => `the picture “${one.name}”`),
    ...review.clips.filter(({ id }) => !there.clips.has(id)).map(one => `the clip “${one.name}”`),
  ]
}

function withMissing(bundle: ReviewBundle): ReadReview {
  return { ...bundle, missing: missingIn(bundle) }
}

/** JSON has no NaN: a gap is null there. */
function withGaps(values: Float64Array): (number | null)[] {
  return Array.from(values, value => (Number.isFinite(value) ? value : null))
}

function noJsonWords(cause: unknown): string {
  return cause instanceof SyntaxError && /forbidden prototype/i.test(cause.message)
    ? 'it holds a key that no review has (__proto__ or constructor)'
    : 'it is not JSON, or it was cut short'
}

function envelopeOf(text: string, fileName: string): ReviewFileShape {
  const tooMuch = nestedTooDeep(text, { depth: DEEPEST, values: Infinity })
  if (tooMuch) throw refuse(fileName, tooMuch)
  let data: unknown
  try {
    data = secureParse(text.charCodeAt(0) === 0xfeff ? text.slice(1) : text, null, {
      protoAction: 'error',
      constructorAction: 'error',
    })
  } catch (cause) {
    throw refuse(fileName, text.trim() === '' ? 'it is empty' : noJsonWords(cause), cause)
  }
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== REVIEW_FORMAT)
    throw refuse(fileName, 'it is not a review of Rigorous Meter')
  const { schemaVersion } = data as { schemaVersion?: unknown }
  if (typeof schemaVersion === 'number' && schemaVersion > REVIEW_SCHEMA_VERSION)
    throw new CoreError(
      'newer-version',
      `“${fileName}” was written by a newer version (form ${schemaVersion}; ` +
        `this one knows ${REVIEW_SCHEMA_VERSION}). Nothing was changed. Update, then open it again.`,
      { got: schemaVersion, known: REVIEW_SCHEMA_VERSION },
    )
  const { error, value } = envelope.validate(data, { convert: false })
  if (error)
    throw refuse(
      fileName,
      `its frame is damaged at ${error.details[0]?.path.join(' › ') ?? 'the top'}`,
      error,
    )
  const file = value as ReviewFileShape
  const odd = file.traces.find(({ frequenciesHz, levelsDbm }) => frequenciesHz.length !== levelsDbm.length)
  if (odd)
    throw refuse(
      fileName,
      `one of its traces has ${odd.frequenciesHz.length} frequencies and ${odd.levelsDbm.length} levels`,
    )
  return file
}

function refuse(fileName: string, why: string, cause?: unknown): CoreError<'bad-file'> {
  return new CoreError(
    'bad-file',
    `“${fileName}” was not opened: ${why}. Everything on the shelf is as it was.`,
    { fileName, row: null, why },
    { cause },
  )
}
