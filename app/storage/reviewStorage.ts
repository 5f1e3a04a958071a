import { REVIEW_SCHEMA_VERSION } from '#core/bundle'
import type { Review } from '#core/review'
import { thisBuild } from './build'
import { followed, readRecord, recordNames, removeRecords, writeRecords } from './disk'
import { type HeadRecord, readStanding, readUnchecked, type Standing, stillStands } from './readBack'
import { belongsTo, recordName } from './recordNames'
import { broughtBack } from './lostDatabase'
import { dropJournal, journalText, leaveJournal, removeAsides, removeJournals } from './reviewJournal'
import { changedParts, hasFewerParts, headOfParts, partNames } from './reviewParts'
import { seal, unseal } from './seal'
import { checkCopy, forgetCopy } from './secondCopy'
import { shelfLineOf } from './shelfIndex'

/** A state of a review that is on the disk, or on its way. */
interface Written {
  revision: string
  sequence: number
  /** What its records hold; null where that is not known part by part, and all are to be written. */
  review: Review | null
}

/** What this tab knows of a review: what is on the disk, what it is just putting there, what the second copy holds. */
interface Known {
  stands: Written | null
  coming: Written | null
  copied: Written | null
}

const known = new Map<string, Known>()
/** The journals that stand for states that are not yet on the disk. */
const journals = new WeakMap<Review, { sequence: number; text: string; flushed: Promise<void> }>()

/** The last sequence a state of a review got. */
const lastNoted = new Map<string, number>()

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
  known.delete(id)
  const record = (await readRecord(recordName.head(id))) ?? (await headBack(id, tell))
  try {
    const standing = await readStanding(id, record, tell)
    if (await stillStands(id, record)) {
      void checkCopy(id)
      return standing && taken(id, standing)
    }
  } catch (error) {
    if (await stillStands(id, record)) throw error
  }
  return loadReview(id, tell)
}

/**
 * A review as it is kept, which no schema has looked at: for whoever looks at it elsewhere.
 * @returns null when there is none of this id.
 * @throws as `loadReview`, but for what a schema would refuse.
 */
export async function loadUnchecked(id: string): Promise<unknown> {
  const record = await readRecord(recordName.head(id))
  const data = await readUnchecked(id, record)
  return (await stillStands(id, record)) ? data : loadUnchecked(id)
}

/** The head of a review that the database has lost, from its second copy; null where there is none. */
async function headBack(id: string, tell: (words: string) => void): Promise<unknown> {
  const [back] = await broughtBack(name => name === id)
  if (back === undefined) return null
  tell('The browser had lost its database. This review is back from its second copy.')
  return readRecord(recordName.head(id))
}

/** Remembers what of a review is on the disk, and where its states stand. */
function taken(id: string, { review, written, isAsWritten, sequence }: Standing): Review {
  if (sequence > 0) lastNoted.set(id, sequence)
  if (written) {
    const { revision } = written
    remember(id, { revision, sequence: written.sequence, review: isAsWritten ? review : null })
  }
  return review
}

function remember(id: string, written: Written, copied: Written | null = written): void {
  known.set(id, { stands: written, coming: null, copied })
}

/**
 * Leaves a journal of a state that is about to be written: at once, whatever the writing is busy with.
 * Called again for the same state it does nothing.
 */
export function noteChange(review: Review): void {
  if (journals.has(review)) return
  const { stands = null, coming = null, copied = null } = known.get(review.id) ?? {}
  const last = coming ?? stands
  // Whichever of them it will be laid over: a database that is lost is put back as the second copy has it.
  const states = new Set([stands, ...(coming ? [coming] : []), ...(copied ? [copied] : [])])
  const sequence = Math.max(lastNoted.get(review.id) ?? 0, last?.sequence ?? 0) + 1
  lastNoted.set(review.id, sequence)
  const text = journalText({
    reviewId: review.id,
    sequence,
    bases: [...states].map(state => state?.revision ?? null),
    head: headOfParts(review),
    parts: changedParts(
      review,
      [...states].map(state => state?.review ?? null),
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
  const { stands = null, copied = null } = known.get(review.id) ?? {}
  noteChange(review)
  const { sequence, text, flushed } = journals.get(review)!
  const coming = { revision: crypto.randomUUID(), sequence, review }
  known.set(review.id, { stands, coming, copied })
  const isOurs = (head: unknown) => revisionIn(head) === (stands?.revision ?? null)
  try {
    const guard = { name: recordName.head(review.id), isAsExpected: isOurs }
    if (!(await writeRecords(recordsOf(coming, stands?.review ?? null), guard))) throw new OvertakenError()
    remember(review.id, coming, copied ?? stands)
    void followed().then(() => noteCopied(coming))
  } catch (error) {
    known.set(review.id, { stands, coming: null, copied })
    throw error
  }
  await dropSurplus(review, stands?.review ?? null)
  await flushed
  dropJournal(review.id, text)
}

/** The revision a head record names; null where there is none that can be read. */
function revisionIn(record: unknown): string | null {
  const head = unseal(record)
  return head.is === 'sound' ? ((head.value as HeadRecord).revision ?? null) : null
}

function noteCopied(written: Written & { review: Review }): void {
  const now = known.get(written.review.id)
  if (now && now.stands && written.sequence > (now.copied?.sequence ?? -1))
    known.set(written.review.id, { ...now, copied: written })
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
  const build = thisBuild()
  const head: HeadRecord = { ...headOfParts(review), schemaVersion, revision, sequence, line, build }
  return [...parts, [recordName.head(review.id), seal(head)]]
}

/** Takes away parts that a review no longer has, and the records older forms kept. */
async function dropSurplus(review: Review, over: Review | null): Promise<void> {
  const head = headOfParts(review)
  if (over && !hasFewerParts(head, headOfParts(over))) return
  const wanted = new Set(partNames(head))
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
  // First: what is left when it is killed in between would come back from the copy.
  await forgetCopy(id)
  const names = (await recordNames()).filter(name => belongsTo(id, name))
  await removeRecords(names)
  await removeJournals(id)
  removeAsides(id)
}
