import type { CurvePoints, Review, TracePoints } from '../review'

/** Version of the stored form; raised with a migration beside it. */
export const REVIEW_SCHEMA_VERSION = 8

/** Most a review file may weigh, bytes. */
export const MAX_REVIEW_BYTES = 200_000_000

/** What a review file calls itself. */
export const REVIEW_FORMAT = 'rigorous-meter-review'

/** A review with its traces, curves, pictures and clips, as it travels in a file. */
export interface ReviewBundle {
  review: Review
  traces: Map<string, TracePoints>
  curves: Map<string, CurvePoints>
  /** Pictures as data URLs. */
  pictures: Map<string, string>
  /** Clips as data URLs. */
  clips: Map<string, string>
}

/** A review file as JSON. */
export interface ReviewFileShape<R = unknown> {
  format: typeof REVIEW_FORMAT
  schemaVersion: number
  writtenBy: string
  writtenAt: string
  review: R
  traces: { id: string; frequenciesHz: number[]; levelsDbm: number[] }[]
  curves?: { id: string; x: number[]; y: (number | null)[]; y2: (number | null)[] }[]
  pictures?: { id: string; dataUrl: string }[]
  clips?: { id: string; dataUrl: string }[]
}

/** Which program writes: files of the very same need not be looked through. */
export function writtenBy(version: string): string {
  return `Rigorous Meter ${version}`
}

/** The bundle of a file whose review is known to be sound. */
export function bundleOf(file: ReviewFileShape, review: Review): ReviewBundle {
  return {
    review,
    traces: new Map(
      file.traces.map(({ id, frequenciesHz, levelsDbm }) => [
        id,
        { frequenciesHz: Float64Array.from(frequenciesHz), levelsDbm: Float64Array.from(levelsDbm) },
      ]),
    ),
    curves: new Map(
      (file.curves ?? []).map(({ id, x, y, y2 }) => [
        id,
        { x: Float64Array.from(x), y: fromGaps(y), y2: fromGaps(y2) },
      ]),
    ),
    pictures: byId(file.pictures),
    clips: byId(file.clips),
  }
}

function byId(records: readonly { id: string; dataUrl: string }[] = []): Map<string, string> {
  return new Map(records.map(({ id, dataUrl }) => [id, dataUrl]))
}

/** JSON has no NaN: a gap is null there. */
function fromGaps(values: readonly (number | null)[]): Float64Array {
  return Float64Array.from(values, value => value ?? Number.NaN)
}

/**
 * Reads a file that this program's own server has just written, without looking through it: the schemas that
 * do are large. It is looked through all the same when the review is opened.
 * @returns null for what another version wrote, or what is no such file.
 */
export function ownBundle(text: string, version: string): ReviewBundle | null {
  let file: ReviewFileShape<Review>
  try {
    file = JSON.parse(text) as ReviewFileShape<Review>
  } catch {
    return null
  }
  const isOwn =
    file?.format === REVIEW_FORMAT &&
    file.schemaVersion === REVIEW_SCHEMA_VERSION &&
    file.writtenBy === writtenBy(version)
  return isOwn ? bundleOf(file, file.review) : null
}
