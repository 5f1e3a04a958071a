import localforage from 'localforage'
import { CoreError } from '#core/errors'
import type { CurvePoints, Reading, Review, TracePoints } from '#core/review'

/** The schemas are large, and the shelf can be shown without them. */
const reviewCore = () => import('#core/review')

/** What the shelf shows of a review without opening it. */
export interface ReviewHead {
  id: string
  title: string
  setNames: string[]
  readingCount: number
  updatedAt: string
}

interface HeadRecord {
  schemaVersion: number
  review: Omit<Review, 'readings'>
  readingCount: number
}

interface ReadingsRecord {
  schemaVersion: number
  readings: Reading[]
}

interface TraceRecord extends TracePoints {
  schemaVersion: number
}

interface CurveRecord extends CurvePoints {
  schemaVersion: number
}

interface PictureRecord {
  schemaVersion: number
  dataUrl: string
}

const store = localforage.createInstance({
  name: 'rigorous-meter',
  storeName: 'reviews',
  description: 'Reviews, readings and traces',
})

const headKey = (id: string) => `head:${id}`
const readingsKey = (id: string) => `readings:${id}`
const traceKey = (id: string, traceId: string) => `trace:${id}:${traceId}`
const curveKey = (id: string, curveId: string) => `curve:${id}:${curveId}`
const pictureKey = (id: string, pictureId: string) => `picture:${id}:${pictureId}`
const journalKey = (id: string) => `rigorous-meter:journal:${id}`

/** A failed write, in plain words. */
export class StorageError extends Error {
  constructor(cause: unknown) {
    const full = cause instanceof DOMException && /quota/i.test(cause.name + cause.message)
    super(
      full
        ? 'The browser’s storage is full, so the last change is not saved. It is still on this screen: take the review away as a file, then make room.'
        : `The last change could not be saved (${cause instanceof Error ? cause.message : String(cause)}). It is still on this screen: take the review away as a file.`,
      { cause },
    )
    this.name = 'StorageError'
  }
}

async function write(run: () => Promise<unknown>): Promise<void> {
  try {
    await run()
  } catch (cause) {
    throw new StorageError(cause)
  }
}

/** All reviews on the shelf, the newest first. */
export async function listReviews(): Promise<ReviewHead[]> {
  const heads: ReviewHead[] = []
  await store.iterate<unknown, void>((value, key) => {
    if (!key.startsWith('head:')) return
    const { review, readingCount } = value as HeadRecord
    heads.push({
      id: review.id,
      title: review.title,
      updatedAt: review.updatedAt,
      readingCount,
      setNames: review.sets.map(set =>
        `${set.make} ${set.model}${set.sample ? ` ${set.sample}` : ''}`.trim(),
      ),
    })
  })
  return heads.sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))
}

/**
 * Reads a review back. A journal left by a tab that closed in the middle of a write is newer and wins.
 * @returns null when there is none of this id.
 */
export async function loadReview(id: string): Promise<Review | null> {
  const { REVIEW_SCHEMA_VERSION, validateReview } = await reviewCore()
  const journal = await readJournal(id)
  if (journal) return journal
  const head = await store.getItem<HeadRecord>(headKey(id))
  if (!head) return null
  if (head.schemaVersion > REVIEW_SCHEMA_VERSION)
    throw new CoreError(
      'newer-version',
      'This review was saved by a newer version of the program. Nothing was changed. Reload the page to get that version.',
      { got: head.schemaVersion, known: REVIEW_SCHEMA_VERSION },
    )
  const readings = await store.getItem<ReadingsRecord>(readingsKey(id))
  return validateReview({ ...head.review, readings: readings?.readings ?? [] })
}

/** Writes a review: journal first (at once, synchronously), then its records, then the journal goes. */
export async function saveReview(review: Review): Promise<void> {
  writeJournal(review)
  const { REVIEW_SCHEMA_VERSION } = await reviewCore()
  const { readings, ...rest } = review
  await write(async () => {
    await store.setItem<ReadingsRecord>(readingsKey(review.id), {
      schemaVersion: REVIEW_SCHEMA_VERSION,
      readings,
    })
    await store.setItem<HeadRecord>(headKey(review.id), {
      schemaVersion: REVIEW_SCHEMA_VERSION,
      review: rest,
      readingCount: readings.length,
    })
  })
  dropJournal(review)
}

/** Takes a review with its traces, curves and pictures off the shelf. */
export async function removeReview(id: string): Promise<void> {
  localStorage.removeItem(journalKey(id))
  const keys = (await store.keys()).filter(
    key =>
      key === headKey(id) ||
      key === readingsKey(id) ||
      ['trace', 'curve', 'picture'].some(kind => key.startsWith(`${kind}:${id}:`)),
  )
  await write(() => Promise.all(keys.map(key => store.removeItem(key))))
}

export async function saveTrace(reviewId: string, traceId: string, points: TracePoints): Promise<void> {
  const { REVIEW_SCHEMA_VERSION } = await reviewCore()
  await write(() =>
    store.setItem<TraceRecord>(traceKey(reviewId, traceId), {
      schemaVersion: REVIEW_SCHEMA_VERSION,
      ...points,
    }),
  )
}

/** Points of a trace; null when they are not there. */
export async function loadTrace(reviewId: string, traceId: string): Promise<TracePoints | null> {
  const record = await store.getItem<TraceRecord>(traceKey(reviewId, traceId))
  return record && { frequenciesHz: record.frequenciesHz, levelsDbm: record.levelsDbm }
}

export async function saveCurve(reviewId: string, curveId: string, points: CurvePoints): Promise<void> {
  const { REVIEW_SCHEMA_VERSION } = await reviewCore()
  await write(() =>
    store.setItem<CurveRecord>(curveKey(reviewId, curveId), {
      schemaVersion: REVIEW_SCHEMA_VERSION,
      ...points,
    }),
  )
}

/** Points of a curve; null when they are not there. */
export async function loadCurve(reviewId: string, curveId: string): Promise<CurvePoints | null> {
  const record = await store.getItem<CurveRecord>(curveKey(reviewId, curveId))
  return record && { x: record.x, y: record.y, y2: record.y2 }
}

/** Keeps a picture as a data URL. */
export async function savePicture(reviewId: string, pictureId: string, dataUrl: string): Promise<void> {
  const { REVIEW_SCHEMA_VERSION } = await reviewCore()
  await write(() =>
    store.setItem<PictureRecord>(pictureKey(reviewId, pictureId), {
      schemaVersion: REVIEW_SCHEMA_VERSION,
      dataUrl,
    }),
  )
}

/** A picture as a data URL; null when it is not there. */
export async function loadPicture(reviewId: string, pictureId: string): Promise<string | null> {
  return (await store.getItem<PictureRecord>(pictureKey(reviewId, pictureId)))?.dataUrl ?? null
}

function writeJournal(review: Review): void {
  try {
    localStorage.setItem(journalKey(review.id), JSON.stringify(review))
  } catch {
    localStorage.removeItem(journalKey(review.id))
  }
}

async function readJournal(id: string): Promise<Review | null> {
  const text = localStorage.getItem(journalKey(id))
  if (text === null) return null
  try {
    const { validateReview } = await reviewCore()
    return validateReview(JSON.parse(text))
  } catch {
    localStorage.removeItem(journalKey(id))
    return null
  }
}

/** Only the journal of this very state goes; a later one stays for its own write. */
function dropJournal(review: Review): void {
  const text = localStorage.getItem(journalKey(review.id))
  if (text !== null && text === JSON.stringify(review)) localStorage.removeItem(journalKey(review.id))
}
