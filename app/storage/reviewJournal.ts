import type { Reading, Review } from '#core/review'

/**
 * What a write is about to put down, kept at once and synchronously: should the tab close before the records
 * are written, the next opening takes it up from here.
 */
export interface Journal {
  head: Omit<Review, 'readings'>
  readingCount: number
  /** Batches the write changes: index and readings. */
  batches: [number, Reading[]][]
}

/** What was left: a journal, or the whole review as forms up to 3 left it. */
export type LeftJournal = { kind: 'journal'; journal: Journal } | { kind: 'whole'; data: unknown }

const journalKey = (reviewId: string) => `rigorous-meter:journal:${reviewId}`

/**
 * Leaves a journal. Where it does not fit, there is none: the records are written all the same.
 * @returns its text, by which it is dropped.
 */
export function leaveJournal(journal: Journal): string {
  const text = JSON.stringify(journal)
  try {
    localStorage.setItem(journalKey(journal.head.id), text)
  } catch {
    localStorage.removeItem(journalKey(journal.head.id))
  }
  return text
}

/** The journal a tab left; null when there is none or it cannot be read. */
export function leftJournal(reviewId: string): LeftJournal | null {
  const text = localStorage.getItem(journalKey(reviewId))
  if (text === null) return null
  try {
    const data: unknown = JSON.parse(text)
    return isJournal(data) ? { kind: 'journal', journal: data } : { kind: 'whole', data }
  } catch {
    removeJournal(reviewId)
    return null
  }
}

/** Drops the journal of this very text; a later one stays for its own write. */
export function dropJournal(reviewId: string, text: string): void {
  if (localStorage.getItem(journalKey(reviewId)) === text) removeJournal(reviewId)
}

export function removeJournal(reviewId: string): void {
  localStorage.removeItem(journalKey(reviewId))
}

const isJournal = (data: unknown): data is Journal =>
  typeof data === 'object' &&
  data !== null &&
  'head' in data &&
  'batches' in data &&
  Array.isArray(data.batches)
