import { belongsTo, reviewIdIn } from '../recordNames'
import { plainWords } from '~/errors/plainWords'
import { copyAccess, type CopyWorker } from './access'
import { journalFile, readFileName } from './copyNames'
import { soundFrames } from './frames'

/** Whether what is kept here is kept a second time. */
export type SecondCopyState = 'kept' | 'none' | { failed: string }

/** How long a copy that does not answer is waited for, ms: what is in the database is saved without it. */
const PATIENCE_MS = 2000
/** The same where its answer is what is wanted, ms: a large copy takes its time to read. */
const READING_PATIENCE_MS = 30_000

let state: SecondCopyState | null = null
/** It was waited for in vain, and has not answered since. */
let isSilent = false
/** How often it has answered: what it left unanswered before its last answer says nothing of it any more. */
let answers = 0

/** How the second copy stands, as far as is known. */
export const secondCopyState = (): SecondCopyState => state ?? (copyAccess() ? 'kept' : 'none')

/**
 * Asks the second copy, which never stands in the way of the first: where there is none, or it fails, or does
 * not answer, the other value comes back, and the shelf's foot tells. One that is silent is waited for once, and
 * not again before it has answered.
 */
async function asked<T>(
  ask: (store: CopyWorker) => Promise<T>,
  otherwise: T,
  patienceMs = isSilent ? 0 : PATIENCE_MS,
): Promise<T> {
  const access = copyAccess()
  if (!access) return otherwise
  const answersBefore = answers
  let timer: ReturnType<typeof setTimeout> | undefined
  const silence = new Promise<'silent'>(resolve => {
    timer = setTimeout(() => resolve('silent'), patienceMs)
  })
  const answering = access.work(ask).then(answer => {
    answers += 1
    isSilent = false
    state = 'kept'
    return { answer }
  })
  try {
    const outcome = await Promise.race([answering, silence])
    if (outcome !== 'silent') return outcome.answer
    answering.catch(() => {})
    isSilent = answers === answersBefore
    if (isSilent) state = { failed: 'it does not answer' }
    return otherwise
  } catch (error) {
    state = { failed: plainWords(error) }
    return otherwise
  } finally {
    clearTimeout(timer)
  }
}

/** Keeps a journal where it is written and flushed at once. */
export const copyJournal = (reviewId: string, text: string): Promise<void> =>
  asked(store => store.leaveJournal(reviewId, text), undefined)

/** The journal that was last copied of a review; null where there is none. */
export async function copiedJournal(reviewId: string): Promise<string | null> {
  const bytes = await copyAccess()
    ?.bytes(journalFile(reviewId))
    .catch(() => null)
  const last = bytes ? soundFrames(bytes).payloads.at(-1) : undefined
  return last ? new TextDecoder().decode(last) : null
}

export const removeCopiedJournal = (reviewId: string): Promise<void> =>
  asked(store => store.removeJournal(reviewId), undefined)

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
  const ids = new Set(names.flatMap(name => reviewIdIn(name) ?? []))
  const ofReview = (id: string) => names.filter(name => belongsTo(id, name))
  await Promise.all([...ids].map(id => asked(store => store.follow(id, ofReview(id)), undefined)))
}

/** Makes sure, in the background, that the copy of a review holds what the database does. */
export const checkCopy = (reviewId: string): Promise<void> => asked(store => store.check(reviewId), undefined)

/** The records of a review as its copy has them; null where there is no whole one. */
export async function recordsInCopy(reviewId: string): Promise<[string, unknown][] | null> {
  const records = await asked(store => store.recordsOf(reviewId), null, READING_PATIENCE_MS)
  return records && [...records]
}

export const forgetCopy = (reviewId: string): Promise<void> =>
  asked(store => store.forget(reviewId), undefined, PATIENCE_MS)
