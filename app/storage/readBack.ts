import { plainWords } from '~/errors/plainWords'
import { REVIEW_SCHEMA_VERSION } from '#core/bundle'
import { CoreError } from '#core/errors'
import type { Reading, Review } from '#core/review'
import { isLargeReview, validateReviewAside } from '~/workers/reviewWorker'
import { thisBuild } from './build'
import { readRecord, readRecords, recordNames } from './disk'
import { fromOlderJournal, isOlderHead, type OlderHead, readOlder } from './olderForms'
import { recordName } from './recordNames'
import { type Journal, type LeftJournal, leftJournals, setAside } from './reviewJournal'
import { assembled, type LostPart, partNames, type Parts, type PartsHead } from './reviewParts'
import { isSealed, unseal } from './seal'
import type { ReviewHead } from './shelfIndex'

/** The schemas are large, and the shelf can be shown without them. */
const reviewCore = () => import('#core/review')

/** The record that says what a review is made of. */
export interface HeadRecord extends PartsHead {
  schemaVersion: number
  /** Which write this is, told apart from every other. */
  revision: string
  /** Which state of the review this is; a journal of a later one is newer. */
  sequence: number
  line: ReviewHead
  /** The build that has written all of this, from a review it held to be sound; null where that is not known. */
  build?: string | null
}

/** Parts of a review cannot be read: nothing of it was changed, and what is sound can be had. */
export class DamagedReviewError extends Error {
  /** What could be read, put together; it may pass no schema. */
  readonly data: unknown
  readonly lost: readonly LostPart[]

  constructor(why: string, { data, lost }: { data: unknown; lost: readonly LostPart[] }, cause?: unknown) {
    super(`${why} Nothing was changed.`, { cause })
    this.name = 'DamagedReviewError'
    this.data = data
    this.lost = lost
  }
}

/** A review as it stands on the disk, with what of it a journal was laid over. */
export interface Standing {
  review: Review
  /** Which write its records are; null where there are none, or of an older form. */
  written: { revision: string; sequence: number } | null
  /** Its records hold just this review, part by part. */
  isAsWritten: boolean
  /** Which state it is: of the records, or of the journal. */
  sequence: number
}

/**
 * Reads a review as its head record, the parts and the journals have it.
 * @param record - its head as it was read; what is read after it is of no use once the head is another.
 * @param tell - what a person should know of how it was opened.
 * @returns null where there is nothing of this id.
 * @throws CoreError `newer-version`; DamagedReviewError; NoStorageError.
 */
export async function readStanding(
  id: string,
  record: unknown,
  tell: (words: string) => void,
): Promise<Standing | null> {
  const standing = await laidTogether(id, record, tell)
  if (!standing) return null
  const { found, read } = standing
  const { written, sequence } = read
  const isAsWritten = read.data === found.data && written !== null && written.isOfThisForm
  const review = isAsWritten && written.isOfThisBuild ? asWritten(read) : await sound(read)
  return { review, written, isAsWritten, sequence }
}

/**
 * The same before any schema has looked at it.
 * @throws DamagedReviewError where parts are lost; CoreError `newer-version`; NoStorageError.
 */
export async function readUnchecked(id: string, record: unknown): Promise<unknown> {
  const standing = await laidTogether(id, record, () => {})
  if (!standing) return null
  assertWhole(standing.read)
  return standing.read.data
}

/** The records of a review, and what a journal makes of them; null where there is nothing of this id. */
async function laidTogether(
  id: string,
  record: unknown,
  tell: (words: string) => void,
): Promise<{ found: ReadBack; read: ReadBack } | null> {
  const found = await readHead(id, record)
  const read = found && (await withJournals(id, record, found, tell))
  return read ? { found, read } : nothingBut(await looseParts(id))
}

/** Parts without a head are no review, and not nothing either. */
function nothingBut(loose: { data: Record<string, unknown>; lost: LostPart[] }): null {
  if (Object.keys(loose.data).length > 1)
    throw new DamagedReviewError('The head of this review is missing.', loose)
  return null
}

/** Whether no other tab has written since the head was read: what was read in between belongs together. */
export async function stillStands(id: string, record: unknown): Promise<boolean> {
  const now = await readRecord(recordName.head(id))
  const sumIn = (head: unknown) => (isSealed(head) ? head.sum : null)
  return sumIn(now) === sumIn(record)
}

/** A review as the records have it, before any schema has looked at it. */
interface ReadBack {
  data: Record<string, unknown>
  lost: LostPart[]
  /** The parts as read, for a journal to be laid over; null for older forms. */
  parts: { head: PartsHead; read: Parts } | null
  /** Which write it is; null where there is none, or of an older form. */
  written: { revision: string; sequence: number; isOfThisForm: boolean; isOfThisBuild: boolean } | null
  /** Which state it is; less than any that has a journal where nobody knows. */
  sequence: number
}

const NOTHING: ReadBack = { data: {}, lost: [], parts: null, written: null, sequence: -1 }

async function readHead(id: string, record: unknown): Promise<ReadBack | null> {
  if (record === null || record === undefined) {
    return (await leftJournals(id)).length > 0 ? NOTHING : null
  }
  if (isOlderHead(record)) return ofOlderForm(id, record)
  const head = unseal(record)
  if (head.is === 'newer') throw newerVersion()
  if (head.is !== 'sound')
    throw new DamagedReviewError('The head of this review cannot be read.', await looseParts(id))
  const { schemaVersion, revision, sequence, build, fields, lists, wholes } = head.value as HeadRecord
  if (schemaVersion > REVIEW_SCHEMA_VERSION) throw newerVersion(schemaVersion)
  const parts = { fields, lists, wholes }
  const read = await readParts(id, parts)
  const written = {
    ...{ revision, sequence, isOfThisForm: schemaVersion === REVIEW_SCHEMA_VERSION },
    isOfThisBuild: thisBuild() !== null && build === thisBuild(),
  }
  return { ...assembled(parts, read), parts: { head: parts, read }, written, sequence }
}

async function ofOlderForm(id: string, head: OlderHead): Promise<ReadBack> {
  if (head.schemaVersion > REVIEW_SCHEMA_VERSION) throw newerVersion(head.schemaVersion)
  const { data, lostReadings } = await readOlder(id, head)
  const first = head.readingCount - lostReadings + 1
  const lost: LostPart[] = lostReadings > 0 ? [{ field: 'readings', items: [first, head.readingCount] }] : []
  return { ...NOTHING, data, lost }
}

async function readParts(id: string, head: PartsHead): Promise<Parts> {
  const names = partNames(head)
  const records = await readRecords(names.map(name => recordName.part(id, name)))
  const parts: Parts = new Map()
  for (const name of names) {
    const opened = unseal(records[recordName.part(id, name)])
    if (opened.is === 'sound') parts.set(name, opened.value)
  }
  return parts
}

/** All sound parts there are of a review whose head is gone. */
async function looseParts(id: string): Promise<{ data: Record<string, unknown>; lost: LostPart[] }> {
  const start = recordName.part(id, '')
  const names = (await recordNames()).filter(name => name.startsWith(start))
  const records = await readRecords(names)
  const data: Record<string, unknown> = { id }
  const ordered = names.toSorted((a, b) => numberOf(a) - numberOf(b))
  for (const name of ordered) {
    const opened = unseal(records[name])
    const [field = ''] = name.slice(start.length).split(':')
    if (opened.is !== 'sound') continue
    data[field] = Array.isArray(opened.value)
      ? [...((data[field] as unknown[] | undefined) ?? []), ...(opened.value as unknown[])]
      : opened.value
  }
  return { data, lost: [{ field: 'title', items: null }] }
}

const numberOf = (name: string): number => Number(name.slice(name.lastIndexOf(':') + 1)) || 0

/** What is read, or what the newest journal that fits makes of it. */
async function withJournals(
  id: string,
  record: unknown,
  found: ReadBack,
  tell: (words: string) => void,
): Promise<ReadBack | null> {
  let best: ReadBack | null = found === NOTHING ? null : found
  let remains: Journal | null = null
  for (const left of await leftJournals(id)) {
    if (left.is === 'journal' && left.journal.sequence <= (best ?? found).sequence) continue
    // What an older version left is older than any record of this one.
    if (left.is === 'older' && found.written) continue
    const laid = await laidOver(left, found)
    if (laid === null && found === NOTHING && left.is === 'journal') {
      remains ??= left.journal
    } else if (laid === null) {
      if (!(await stillStands(id, record))) continue
      await setAside(id, left.text)
      tell(
        'A change that was left when a tab or the browser died does not fit this review or cannot be read. ' +
          'It is kept aside, and goes along when the raw records are taken away from the shelf.',
      )
    } else {
      best = laid
    }
  }
  if (!best && remains) throw onlyTheLast(remains)
  return best
}

/** A journal of changes to a review of which there is nothing else. */
function onlyTheLast({ reviewId, head, parts }: Journal): DamagedReviewError {
  const { data, lost } = assembled(head, new Map(parts))
  return new DamagedReviewError('Only what was changed last is left of this review.', {
    data: { ...data, id: reviewId },
    lost,
  })
}

async function laidOver(left: LeftJournal, found: ReadBack): Promise<ReadBack | null> {
  if (left.is === 'unreadable') return null
  if (left.is === 'older') {
    const { validateReview } = await reviewCore()
    const data = fromOlderJournal(left.data, (found.data.readings as Reading[] | undefined) ?? [])
    try {
      return { ...NOTHING, data: validateReview(data) as unknown as Record<string, unknown> }
    } catch {
      return null
    }
  }
  const { bases, head, parts, sequence } = left.journal
  if (!bases.includes(found.written?.revision ?? null)) return null
  const over: Parts = new Map([...(found.parts?.read ?? []), ...parts])
  return { ...assembled(head, over), parts: { head, read: over }, written: found.written, sequence }
}

/** @throws DamagedReviewError */
function assertWhole({ data, lost }: ReadBack): void {
  if (lost.length > 0) throw new DamagedReviewError('Parts of this review cannot be read.', { data, lost })
}

/**
 * What this very build has kept, from a review it was at work with: the checksums say that it is what was kept, so
 * the schemas, which held it to be sound then, are not asked again.
 * @throws DamagedReviewError
 */
function asWritten(read: ReadBack): Review {
  assertWhole(read)
  return read.data as unknown as Review
}

async function sound(read: ReadBack): Promise<Review> {
  assertWhole(read)
  const { data, lost } = read
  try {
    if (isLargeReview(data)) return await validateReviewAside(data)
    const { validateReview } = await reviewCore()
    return validateReview(data)
  } catch (error) {
    throw new DamagedReviewError(plainWords(error), { data, lost }, error)
  }
}

function newerVersion(got = REVIEW_SCHEMA_VERSION + 1): CoreError<'newer-version'> {
  return new CoreError(
    'newer-version',
    'This review was saved by a newer version of the program. Nothing was changed. ' +
      'Reload the page to get that version.',
    { got, known: REVIEW_SCHEMA_VERSION },
  )
}
