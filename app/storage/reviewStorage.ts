import { REVIEW_SCHEMA_VERSION } from '#core/bundle'
import { CoreError } from '#core/errors'
import type { Reading, Review } from '#core/review'
import { belongsTo, disk, recordKey, write } from './disk'
import { type BatchRecord, batchCount, changedBatches, readBatches } from './readingBatches'
import { dropJournal, leaveJournal, leftJournal, removeJournal } from './reviewJournal'
import { headOf, type ReviewHead } from './shelfIndex'

/** The schemas are large, and the shelf can be shown without them. */
const reviewCore = () => import('#core/review')

interface HeadRecord {
  schemaVersion: number
  review: Omit<Review, 'readings'>
  readingCount: number
  /** Which write this is; absent in forms up to 3, whose readings are in one record. */
  revision?: string
}

/** The readings this tab knows to be on the disk, as of which write. */
const written = new Map<string, { revision: string; readings: Reading[] }>()

/**
 * Reads a review back. A journal left by a tab that closed in the middle of a write is newer and wins.
 * @returns null when there is none of this id.
 * @throws CoreError `newer-version` or `bad-review`.
 */
export async function loadReview(id: string): Promise<Review | null> {
  written.delete(id)
  const { validateReview } = await reviewCore()
  const journalled = await fromJournal(id)
  if (journalled) return journalled
  const head = await disk.getItem<HeadRecord>(recordKey.head(id))
  if (!head) return null
  if (head.schemaVersion > REVIEW_SCHEMA_VERSION)
    throw new CoreError(
      'newer-version',
      'This review was saved by a newer version of the program. Nothing was changed. Reload the page to get that version.',
      { got: head.schemaVersion, known: REVIEW_SCHEMA_VERSION },
    )
  const readings = await readingsFor(id, head)
  const review = validateReview({ ...head.review, readings })
  if (head.revision !== undefined && head.schemaVersion === REVIEW_SCHEMA_VERSION)
    written.set(id, { revision: head.revision, readings: review.readings })
  return review
}

async function readingsFor(id: string, head: HeadRecord): Promise<Reading[]> {
  const readings =
    head.revision === undefined
      ? ((await disk.getItem<BatchRecord>(recordKey.oldReadings(id)))?.readings ?? [])
      : await readBatches(id, head.readingCount)
  if (readings) return readings
  throw new CoreError(
    'bad-review',
    'Some of this review’s readings are missing from the browser’s storage. Nothing was changed.',
    { why: 'a batch of readings is missing' },
  )
}

async function fromJournal(id: string): Promise<Review | null> {
  const left = leftJournal(id)
  if (!left) return null
  try {
    const { validateReview } = await reviewCore()
    if (left.kind === 'whole') return validateReview(left.data)
    const { head, readingCount, batches } = left.journal
    const readings = await readBatches(id, readingCount, new Map(batches))
    if (readings) return validateReview({ ...head, readings })
  } catch {
    // What cannot be read is no newer state: the records stand.
  }
  removeJournal(id)
  return null
}

/**
 * Writes a review: a journal of what changes first (at once, synchronously), then the batches of readings that
 * changed, then the head, then the shelf's line; then the journal goes.
 * @throws StorageError when a record cannot be written; the journal stays.
 */
export async function saveReview(review: Review): Promise<void> {
  let text = journalOf(review, written.get(review.id)?.readings ?? null)
  const known = await readingsOnDisk(review.id)
  if (known === null) text = journalOf(review, null)
  await write(() => writeRecords(review, known))
  dropJournal(review.id, text)
}

function journalOf({ readings, ...head }: Review, known: readonly Reading[] | null): string {
  return leaveJournal({
    head,
    readingCount: readings.length,
    batches: [...changedBatches(readings, known)],
  })
}

async function writeRecords({ readings, ...head }: Review, known: readonly Reading[] | null): Promise<void> {
  const schemaVersion = REVIEW_SCHEMA_VERSION
  const revision = crypto.randomUUID()
  const record: HeadRecord = { schemaVersion, review: head, readingCount: readings.length, revision }
  written.delete(head.id)
  for (const [index, batch] of changedBatches(readings, known))
    await disk.setItem<BatchRecord>(recordKey.batch(head.id, index), { schemaVersion, readings: batch })
  await disk.setItem<HeadRecord>(recordKey.head(head.id), record)
  await disk.setItem<ReviewHead>(recordKey.shelf(head.id), headOf(record))
  const count = batchCount(readings.length)
  if (known === null || batchCount(known.length) > count) await dropSurplus(head.id, count)
  written.set(head.id, { revision, readings })
}

/** The readings on the disk, when they are those this tab wrote or read last. */
async function readingsOnDisk(id: string): Promise<Reading[] | null> {
  const known = written.get(id)
  if (!known) return null
  const head = await disk.getItem<HeadRecord>(recordKey.head(id))
  return head?.revision === known.revision ? known.readings : null
}

/** Batches past the last one, and the single record older forms kept. */
async function dropSurplus(id: string, count: number): Promise<void> {
  const single = recordKey.oldReadings(id)
  const surplus = (await disk.keys()).filter(
    key => key === single || (key.startsWith(`${single}:`) && Number(key.slice(single.length + 1)) >= count),
  )
  await Promise.all(surplus.map(key => disk.removeItem(key)))
}

/** Takes a review with its traces, curves and pictures off the shelf. */
export async function removeReview(id: string): Promise<void> {
  removeJournal(id)
  written.delete(id)
  const keys = (await disk.keys()).filter(key => belongsTo(id, key))
  await write(() => Promise.all(keys.map(key => disk.removeItem(key))))
}
