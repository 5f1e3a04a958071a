import { type IDBPDatabase, openDB } from 'idb'
import { DATABASE, JOURNAL_STORE, openDisk } from './disk'

let connection: Promise<IDBPDatabase> | null = null

function connect(): Promise<IDBPDatabase> {
  connection ??= openDisk()
    .then(() =>
      openDB(DATABASE, undefined, {
        blocking(_current, _wanted, event) {
          connection = null
          ;(event.target as IDBDatabase).close()
        },
        terminated() {
          connection = null
        },
      }),
    )
    .catch(error => {
      connection = null
      throw error
    })
  return connection
}

/** The journal of a review that waits for its turn, and the flush that is under way. */
interface Flushing {
  next: string | null
  under: Promise<void>
}

const flushing = new Map<string, Flushing>()

/**
 * Keeps the journal of a review where the browser flushes it to the disk itself: when this resolves it has been
 * asked for, and with it all that was written to this database before. One flush at a time: of those that come
 * meanwhile only the last is kept, because it says what the others said.
 */
export function flushJournal(reviewId: string, text: string): Promise<void> {
  const now = flushing.get(reviewId)
  if (now) {
    now.next = text
    return now.under
  }
  const begun: Flushing = { next: text, under: Promise.resolve() }
  flushing.set(reviewId, begun)
  begun.under = flushAll(reviewId, begun)
  return begun.under
}

async function flushAll(reviewId: string, begun: Flushing): Promise<void> {
  try {
    while (begun.next !== null) {
      const text = begun.next
      begun.next = null
      const { store, done } = (await connect()).transaction(JOURNAL_STORE, 'readwrite', {
        durability: 'strict',
      })
      await Promise.all([store.put(text, reviewId), done])
    }
  } finally {
    // In the very turn that found nothing waiting: what comes next begins a flush of its own.
    flushing.delete(reviewId)
  }
}

/** The journal of a review as it was flushed last; null when there is none. */
export async function flushedJournal(reviewId: string): Promise<string | null> {
  const found: unknown = await (await connect()).get(JOURNAL_STORE, reviewId)
  return typeof found === 'string' ? found : null
}

export async function removeFlushed(reviewId: string): Promise<void> {
  await (await connect()).delete(JOURNAL_STORE, reviewId)
}

/** The reviews that have a flushed journal. */
export async function flushedReviews(): Promise<string[]> {
  return (await (await connect()).getAllKeys(JOURNAL_STORE)).map(String)
}
