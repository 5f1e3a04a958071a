import pLimit from 'p-limit'
import { bytesOf, type CopyFolder, type OpenFile, withFile } from './copyFolder'
import { journalFile } from './copyNames'
import { frame, soundFrames } from './frames'

/** A journal file is begun anew beyond this size. */
const JOURNAL_BYTES = 1e6

/** The journal of a review that waits for its turn, and the promise of all that wait for it. */
interface Waiting {
  text: string
  done: Promise<void>
}

/**
 * The journals of reviews in files, each flushed as it is left. Of those that come while one is written only the
 * last is kept, because it says what the others said.
 */
export function createJournalStore(folder: CopyFolder) {
  const waiting = new Map<string, Waiting>()
  /** How large each file was when it was left: at another size somebody else has written, or died writing. */
  const sizes = new Map<string, number>()
  const inTurn = pLimit(1)

  function leaveJournal(reviewId: string, text: string): Promise<void> {
    const before = waiting.get(reviewId)
    if (before) {
      before.text = text
      return before.done
    }
    const own: Waiting = { text, done: Promise.resolve() }
    waiting.set(reviewId, own)
    own.done = inTurn(() => {
      waiting.delete(reviewId)
      return withFile(folder, journalFile(reviewId), file => append(file, reviewId, own.text))
    })
    return own.done
  }

  function append(file: OpenFile, reviewId: string, text: string): void {
    const bytes = frame(new TextEncoder().encode(text))
    // Asked once: each question goes to another process of the browser.
    const size = file.getSize()
    const sound = size === sizes.get(reviewId) ? size : soundFrames(bytesOf(file)).soundBytes
    const at = sound + bytes.length > JOURNAL_BYTES ? 0 : sound
    if (at !== size) file.truncate(at)
    file.write(bytes, { at })
    file.flush()
    sizes.set(reviewId, at + bytes.length)
  }

  const removeJournal = (reviewId: string) => inTurn(() => folder.remove(journalFile(reviewId)))

  return { leaveJournal, removeJournal }
}

export type JournalStore = ReturnType<typeof createJournalStore>
