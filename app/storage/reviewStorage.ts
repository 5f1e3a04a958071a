import { REVIEW_SCHEMA_VERSION } from '#core/bundle'
import { CoreError } from '#core/errors'
import type { Reading, Review } from '#core/review'
import { readRecord, readRecords, recordNames, removeRecords, writeRecords } from './disk'
import { fromOlderJournal, isOlderHead, type OlderHead, readOlder } from './olderForms'
import { belongsTo, recordName } from './recordNames'
import {
  dropJournal,
  journalText,
  leaveJournal,
  type LeftJournal,
  leftJournals,
  removeAsides,
  removeJournals,
  setAside,
} from './reviewJournal'
import {
  assembled,
  changedParts,
  headOfParts,
  type LostPart,
  partNames,
  type Parts,
  type PartsHead,
} from './reviewParts'
import { isSealed, seal, unseal } from './seal'
import { type ReviewHead, shelfLineOf } from './shelfIndex'

/** The schemas are large, and the shelf can be shown without them. */
const reviewCore = () => import('#core/review')

interface HeadRecord extends PartsHead {
  schemaVersion: number
  /** Which write this is, told apart from every other. */
  revision: string
  /** Which state of the review this is; a journal of a later one is newer. */
  sequence: number
  line: ReviewHead
}

/** A state of a review that is on the disk, or on its way. */
interface Written {
  revision: string
  sequence: number
  /** What its records hold; null where that is not known part by part, and all are to be written. */
  review: Review | null
}

/** What this tab knows to be on the disk, and what it is just putting there. */
const known = new Map<string, { stands: Written | null; coming: Written | null }>()
/** The journals that stand for states that are not yet on the disk. */
const journals = new WeakMap<Review, { sequence: number; text: string; flushed: Promise<void> }>()

/** The last sequence a state of a review got. */
const lastNoted = new Map<string, number>()

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

/** Another tab has written this review since this one read it. */
export class OvertakenError extends Error {
  constructor() {
    super(
      'This review was changed in another tab, and what is on this screen is older. It is read-only here now: ' +
        'take it away as a file if you want to keep it, and open the review again.',
    )
    this.name = 'OvertakenError'
  }
}

/**
 * Reads a review back. A journal left by a tab or a browser that died is newer and is laid over; one that cannot
 * be is kept aside, and told.
 * @param tell - what a person should know of how it was opened.
 * @returns null when there is none of this id.
 * @throws CoreError `newer-version`; DamagedReviewError; NoStorageError.
 */
export async function loadReview(
  id: string,
  tell: (words: string) => void = () => {},
): Promise<Review | null> {
  const record = await readRecord(recordName.head(id))
  try {
    const review = await readStanding(id, record, tell)
    if (await stillStands(id, record)) return review
  } catch (error) {
    if (await stillStands(id, record)) throw error
  }
  return loadReview(id, tell)
}

/** Whether no other tab has written since the head was read: what was read in between belongs together. */
async function stillStands(id: string, record: unknown): Promise<boolean> {
  const now = await readRecord(recordName.head(id))
  const sumIn = (head: unknown) => (isSealed(head) ? head.sum : null)
  return sumIn(now) === sumIn(record)
}

async function readStanding(
  id: string,
  record: unknown,
  tell: (words: string) => void,
): Promise<Review | null> {
  known.delete(id)
  const found = await readHead(id, record)
  const read = found && (await withJournals(id, record, found, tell))
  if (!read) return null
  const review = await sound(read)
  const { written } = read
  if (written) {
    const { revision, sequence, isOfThisForm } = written
    remember(id, { revision, sequence, review: read.data === found.data && isOfThisForm ? review : null })
  }
  return review
}

/** A review as the records have it, before any schema has looked at it. */
interface ReadBack {
  data: Record<string, unknown>
  lost: LostPart[]
  /** The parts as read, for a journal to be laid over; null for older forms. */
  parts: { head: PartsHead; read: Parts } | null
  /** Which write it is; null where there is none, or of an older form. */
  written: { revision: string; sequence: number; isOfThisForm: boolean } | null
}

const NOTHING: ReadBack = { data: {}, lost: [], parts: null, written: null }

async function readHead(id: string, record: unknown): Promise<ReadBack | null> {
  if (record === null || record === undefined) {
    return (await leftJournals(id)).length > 0 ? NOTHING : null
  }
  if (isOlderHead(record)) return ofOlderForm(id, record)
  const head = unseal(record)
  if (head.is === 'newer') throw newerVersion()
  if (head.is !== 'sound')
    throw new DamagedReviewError('The head of this review cannot be read.', await looseParts(id))
  const { schemaVersion, revision, sequence, fields, lists, wholes } = head.value as HeadRecord
  if (schemaVersion > REVIEW_SCHEMA_VERSION) throw newerVersion(schemaVersion)
  const parts = { fields, lists, wholes }
  const read = await readParts(id, parts)
  const written = { revision, sequence, isOfThisForm: schemaVersion === REVIEW_SCHEMA_VERSION }
  return { ...assembled(parts, read), parts: { head: parts, read }, written }
}

async function ofOlderForm(id: string, head: OlderHead): Promise<ReadBack> {
  if (head.schemaVersion > REVIEW_SCHEMA_VERSION) throw newerVersion(head.schemaVersion)
  const { data, lostReadings } = await readOlder(id, head)
  const first = head.readingCount - lostReadings + 1
  const lost: LostPart[] = lostReadings > 0 ? [{ field: 'readings', items: [first, head.readingCount] }] : []
  return { data, lost, parts: null, written: null }
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
  let newest = found.written?.sequence ?? -1
  for (const left of await leftJournals(id)) {
    if (left.is === 'journal' && left.journal.sequence <= newest) continue
    // What an older version left is older than any record of this one.
    if (left.is === 'older' && found.written) continue
    const laid = await laidOver(left, found)
    if (laid === null) {
      if (!(await stillStands(id, record))) continue
      await setAside(id, left.text)
      tell(
        'A change that was left when a tab or the browser died does not fit this review or cannot be read. ' +
          'It is kept aside, and goes along when the raw records are taken away from the shelf.',
      )
    } else {
      best = laid
      newest = left.is === 'journal' ? left.journal.sequence : newest
      lastNoted.set(id, newest)
    }
  }
  return best
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
  const { bases, head, parts } = left.journal
  if (!bases.includes(found.written?.revision ?? null)) return null
  const over: Parts = new Map([...(found.parts?.read ?? []), ...parts])
  return { ...assembled(head, over), parts: { head, read: over }, written: found.written }
}

async function sound({ data, lost }: ReadBack): Promise<Review> {
  if (lost.length > 0) throw new DamagedReviewError('Parts of this review cannot be read.', { data, lost })
  const { validateReview } = await reviewCore()
  try {
    return validateReview(data)
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error)
    throw new DamagedReviewError(why, { data, lost }, error)
  }
}

function remember(id: string, written: Written): void {
  known.set(id, { stands: written, coming: null })
}

/**
 * Leaves a journal of a state that is about to be written: at once, whatever the writing is busy with.
 * Called again for the same state it does nothing.
 */
export function noteChange(review: Review): void {
  if (journals.has(review)) return
  const { stands = null, coming = null } = known.get(review.id) ?? {}
  const last = coming ?? stands
  const states = coming ? [stands, coming] : [stands]
  const sequence = Math.max(lastNoted.get(review.id) ?? 0, last?.sequence ?? 0) + 1
  lastNoted.set(review.id, sequence)
  const text = journalText({
    reviewId: review.id,
    sequence,
    bases: states.map(state => state?.revision ?? null),
    head: headOfParts(review),
    parts: changedParts(
      review,
      states.map(state => state?.review ?? null),
    ),
  })
  journals.set(review, { sequence, text, flushed: leaveJournal(review.id, text) })
}

/**
 * Writes a review: its journal, where it has none yet, then all that changed in one transaction.
 * @throws StorageError when it cannot be written; the journal stays.
 * @throws OvertakenError when another tab has written it; nothing is overwritten.
 */
export async function saveReview(review: Review): Promise<void> {
  const stands = known.get(review.id)?.stands ?? null
  const head = unseal(await readRecord(recordName.head(review.id)))
  const there = head.is === 'sound' ? (head.value as HeadRecord) : null
  if ((there?.revision ?? null) !== (stands?.revision ?? null)) throw new OvertakenError()
  noteChange(review)
  const { sequence, text, flushed } = journals.get(review)!
  const coming = { revision: crypto.randomUUID(), sequence, review }
  known.set(review.id, { stands, coming })
  try {
    await writeRecords(recordsOf(coming, stands?.review ?? null))
    remember(review.id, coming)
  } catch (error) {
    known.set(review.id, { stands, coming: null })
    throw error
  }
  await dropSurplus(review, stands?.review ?? null)
  await flushed
  dropJournal(review.id, text)
}

/** Puts a review in the place of whatever is kept under its id, without asking what that is. */
export async function replaceReview(review: Review): Promise<void> {
  const head = unseal(await readRecord(recordName.head(review.id)))
  const before = head.is === 'sound' ? (head.value as HeadRecord).sequence : 0
  await removeJournals(review.id)
  known.delete(review.id)
  const coming = { revision: crypto.randomUUID(), sequence: before + 1, review }
  await writeRecords(recordsOf(coming, null))
  remember(review.id, coming)
  await dropSurplus(review, null)
}

function recordsOf(
  { revision, sequence, review }: Written & { review: Review },
  over: Review | null,
): [string, unknown][] {
  const schemaVersion = REVIEW_SCHEMA_VERSION
  const parts = [...changedParts(review, [over])].map(([name, value]): [string, unknown] => [
    recordName.part(review.id, name),
    seal(value),
  ])
  const line = shelfLineOf(review, review.readings.length)
  const head: HeadRecord = { ...headOfParts(review), schemaVersion, revision, sequence, line }
  return [...parts, [recordName.head(review.id), seal(head)]]
}

/** Takes away parts that a review no longer has, and the records older forms kept. */
async function dropSurplus(review: Review, over: Review | null): Promise<void> {
  const wanted = new Set(partNames(headOfParts(review)))
  if (over) {
    const surplus = partNames(headOfParts(over)).filter(name => !wanted.has(name))
    return removeRecords(surplus.map(name => recordName.part(review.id, name)))
  }
  const start = recordName.part(review.id, '')
  const older = recordName.olderReadings(review.id)
  const surplus = (await recordNames()).filter(
    name =>
      name === older ||
      name === recordName.shelf(review.id) ||
      name.startsWith(`${older}:`) ||
      (name.startsWith(start) && !wanted.has(name.slice(start.length))),
  )
  await removeRecords(surplus)
}

/** Takes a review with its traces, curves and pictures off the shelf. */
export async function removeReview(id: string): Promise<void> {
  known.delete(id)
  const names = (await recordNames()).filter(name => belongsTo(id, name))
  await removeRecords(names)
  await removeJournals(id)
  removeAsides(id)
}

function newerVersion(got = REVIEW_SCHEMA_VERSION + 1): CoreError<'newer-version'> {
  return new CoreError(
    'newer-version',
    'This review was saved by a newer version of the program. Nothing was changed. Reload the page to get that version.',
    { got, known: REVIEW_SCHEMA_VERSION },
  )
}
