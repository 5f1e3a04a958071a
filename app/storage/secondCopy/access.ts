import { wrap } from 'comlink'
import { brokenWorker } from '~/workers/brokenWorker'
import { namesIn, privateFolder } from './copyFolder'
import type { CopyStore } from './copyStore'
import type { JournalStore } from './journalStore'

/** What the worker does. */
export type CopyWorker = CopyStore & JournalStore

/** What the page asks of the second copy: of the worker what is written, of the files what is read. */
export interface CopyAccess {
  /** Rejects where the worker breaks. */
  work: <T>(ask: (store: CopyWorker) => Promise<T>) => Promise<T>
  names: () => Promise<string[]>
  /** The bytes of a file; null where there is none. */
  bytes: (name: string) => Promise<Uint8Array | null>
}

let running: { store: CopyWorker; broken: Promise<never> } | null = null

/** The worker stays: it knows how far each copy has come. One that breaks is begun anew for the next question. */
function work<T>(ask: (store: CopyWorker) => Promise<T>): Promise<T> {
  running ??= begin()
  return Promise.race([ask(running.store), running.broken])
}

function begin() {
  const worker = new Worker(new URL('../../workers/secondCopy.worker.ts', import.meta.url), {
    type: 'module',
  })
  const broken = brokenWorker(worker, 'the part of the program that makes it did not start')
  broken.catch(() => {
    worker.terminate()
    running = null
  })
  return { store: wrap<CopyWorker>(worker) as unknown as CopyWorker, broken }
}

async function bytes(name: string): Promise<Uint8Array | null> {
  try {
    const file = await (await (await privateFolder()).getFileHandle(name)).getFile()
    return new Uint8Array(await file.arrayBuffer())
  } catch (error) {
    if (error instanceof DOMException && error.name === 'NotFoundError') return null
    throw error
  }
}

/** The second copy of this browser; null where it has no private files, or gives none to this page. */
export function copyAccess(): CopyAccess | null {
  const { storage } = navigator as { storage?: StorageManager }
  if (typeof storage?.getDirectory !== 'function' || typeof Worker === 'undefined') return null
  return { work, names: async () => namesIn(await privateFolder()), bytes }
}
