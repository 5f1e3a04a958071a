import { belongsTo, reviewIdIn } from '../recordNames'
import { copyAccess } from './access'
import { journalFile, readFileName } from './copyNames'
import { soundFrames } from './frames'

/** Whether what is kept here is kept a second time. */
export type SecondCopyState = 'kept' | 'none' | { failed: string }

let state: SecondCopyState | null = null

/** How the second copy stands, as far as is known. */
export const secondCopyState = (): SecondCopyState => state ?? (copyAccess() ? 'kept' : 'none')

/** The second copy never stands in the way of the first: what fails is told in the shelf's foot. */
async function kept<T>(work: Promise<T>, otherwise: T): Promise<T> {
  try {
    return await work
  } catch (error) {
    state = { failed: error instanceof Error ? error.message : String(error) }
    return otherwise
  }
}

/** Keeps a journal where it is written and flushed at once. */
export async function copyJournal(reviewId: string, text: string): Promise<void> {
  const access = copyAccess()
  if (access) await kept(access.store().leaveJournal(reviewId, text), undefined)
}

/** The journal that was last copied of a review; null where there is none. */
export async function copiedJournal(reviewId: string): Promise<string | null> {
  const bytes = await copyAccess()
    ?.bytes(journalFile(reviewId))
    .catch(() => null)
  const last = bytes ? soundFrames(bytes).payloads.at(-1) : undefined
  return last ? new TextDecoder().decode(last) : null
}

export async function removeCopiedJournal(reviewId: string): Promise<void> {
  const access = copyAccess()
  if (access) await kept(access.store().removeJournal(reviewId), undefined)
}

/** Reviews of which there is a copy, or a copied journal. */
async function copiesOf(kind: 'copy' | 'journal'): Promise<string[]> {
  const names = await copyAccess()
    ?.names()
    .catch(() => [])
  const files = (names ?? []).flatMap(name => readFileName(name) ?? [])
  return [...new Set(files.flatMap(file => (file.kind === kind ? file.reviewId : [])))]
}
export const copiedReviews = () => copiesOf('copy')
export const copiedJournals = () => copiesOf('journal')

/** Has the copies follow what was just written to, or removed from, the database. */
export async function followRecords(names: readonly string[]): Promise<void> {
  const access = names.length > 0 ? copyAccess() : null
  if (!access) return
  const ids = new Set(names.flatMap(name => reviewIdIn(name) ?? []))
  const ofReview = (id: string) => names.filter(name => belongsTo(id, name))
  await Promise.all([...ids].map(id => kept(access.store().follow(id, ofReview(id)), undefined)))
}

/** Makes sure, in the background, that the copy of a review holds what the database does. */
export async function checkCopy(reviewId: string): Promise<void> {
  const access = copyAccess()
  if (access) await kept(access.store().check(reviewId), undefined)
}

/** The records of a review as its copy has them; null where there is no whole one. */
export async function recordsInCopy(reviewId: string): Promise<[string, unknown][] | null> {
  const access = copyAccess()
  const records = access && (await kept(access.store().recordsOf(reviewId), null))
  return records && [...records]
}

export async function forgetCopy(reviewId: string): Promise<void> {
  const access = copyAccess()
  if (access) await kept(access.store().forget(reviewId), undefined)
}
