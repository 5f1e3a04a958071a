import { str } from 'crc-32'
import type { Parts, PartsHead } from './reviewParts'
import { asciiJson, STORAGE_FORM } from './seal'
import { copiedJournal, copiedJournals, copyJournal, removeCopiedJournal } from './secondCopy'

/** What is about to be put down of a review: only what differs from what is on the disk. */
export interface Journal {
  reviewId: string
  /** Which state this is; the records know theirs. */
  sequence: number
  /** Revisions of the records this may be laid over; null: where there are none. */
  bases: (string | null)[]
  head: PartsHead
  parts: [name: string, value: unknown][]
}

/** A journal that was left: readable, of an older form, or neither. */
export type LeftJournal = { text: string } & (
  | { is: 'journal'; journal: Journal }
  | { is: 'older'; data: unknown }
  | { is: 'unreadable'; why: 'damaged' | 'newer' }
)

const JOURNAL = 'rigorous-meter:journal:'
const ASIDE = 'rigorous-meter:aside:'

const mark = (json: string) => `journal ${STORAGE_FORM} ${json.length} ${str(json)}\n`

/** The text of a journal, with its form, length and checksum in front. */
export function journalText(journal: Omit<Journal, 'parts'> & { parts: Parts }): string {
  const json = asciiJson({ ...journal, parts: [...journal.parts] })
  return mark(json) + json
}

/**
 * Leaves a journal twice: at once where a closing tab leaves it, and flushed where a browser that dies leaves it.
 * Where it does not fit, the records are written all the same.
 * @returns resolved once the browser has flushed it, or will not.
 */
export function leaveJournal(reviewId: string, text: string): Promise<void> {
  try {
    localStorage.setItem(JOURNAL + reviewId, text)
  } catch {
    localStorage.removeItem(JOURNAL + reviewId)
  }
  return copyJournal(reviewId, text)
}

/** The journals that were left of a review. */
export async function leftJournals(reviewId: string): Promise<LeftJournal[]> {
  const { left, flushed } = await journalsAsKept(reviewId)
  return [...new Set([left, flushed].flatMap(text => text ?? []))].map(readJournal)
}

function readJournal(text: string): LeftJournal {
  const [first, form, length, sum] = text.slice(0, text.indexOf('\n') + 1).split(' ')
  const older = first === 'journal' ? null : olderJournal(text)
  if (older !== null) return { is: 'older', data: older, text }
  if (first === 'journal' && Number(form) > STORAGE_FORM) return { is: 'unreadable', why: 'newer', text }
  const json = text.slice(text.indexOf('\n') + 1)
  if (json.length !== Number(length) || str(json) !== Number(sum))
    return { is: 'unreadable', why: 'damaged', text }
  return { is: 'journal', journal: JSON.parse(json) as Journal, text }
}

function olderJournal(text: string): object | null {
  try {
    const data: unknown = JSON.parse(text)
    return typeof data === 'object' ? data : null
  } catch {
    return null
  }
}

/** Drops the journal of this very text where closing tabs leave it; a later one stays for its own write. */
export function dropJournal(reviewId: string, text: string): void {
  if (localStorage.getItem(JOURNAL + reviewId) === text) localStorage.removeItem(JOURNAL + reviewId)
}

/** A journal that cannot be removed is older than the records that follow it, and is not taken up. */
export async function removeJournals(reviewId: string): Promise<void> {
  localStorage.removeItem(JOURNAL + reviewId)
  await removeCopiedJournal(reviewId)
}

/**
 * Puts a journal that cannot be used where nothing overwrites it, and takes this very one out of the way; where
 * there is no room for that it stays where it is.
 */
export async function setAside(reviewId: string, text: string): Promise<void> {
  const isHere = localStorage.getItem(JOURNAL + reviewId) === text
  // It may only fit in its own place.
  if (isHere) localStorage.removeItem(JOURNAL + reviewId)
  try {
    localStorage.setItem(`${ASIDE}${reviewId}:${str(text) >>> 0}`, text)
  } catch {
    if (isHere) localStorage.setItem(JOURNAL + reviewId, text)
    return
  }
  if ((await copiedJournal(reviewId)) === text) await removeCopiedJournal(reviewId)
}

/** Every journal there is of a review, just as it is kept. */
export async function journalsAsKept(reviewId: string) {
  const flushed = await copiedJournal(reviewId)
  return { left: localStorage.getItem(JOURNAL + reviewId), flushed, setAside: asides(reviewId) }
}

/** What was set aside of a review. */
function asides(reviewId: string): string[] {
  return Object.keys(localStorage)
    .filter(name => name.startsWith(`${ASIDE}${reviewId}:`))
    .map(name => localStorage.getItem(name) ?? '')
}

export function removeAsides(reviewId: string): void {
  Object.keys(localStorage)
    .filter(name => name.startsWith(`${ASIDE}${reviewId}:`))
    .forEach(name => localStorage.removeItem(name))
}

/** Reviews of which a journal was left. */
export async function journalled(): Promise<string[]> {
  const local = Object.keys(localStorage).flatMap(name =>
    name.startsWith(JOURNAL) ? name.slice(JOURNAL.length) : [],
  )
  return [...new Set([...local, ...(await copiedJournals())])]
}
