import { type IDBPDatabase, openDB } from 'idb'
import localforage from 'localforage'
import 'localforage-getitems'
import 'localforage-setitems'
import { followRecords } from './secondCopy'
import { DATABASE, RECORDS_STORE } from './secondCopy/database'

/** Reviews, readings, traces, curves and pictures, by the one driver: what another would keep, it would not find. */
const records = localforage.createInstance({
  ...{ name: DATABASE, storeName: RECORDS_STORE, driver: localforage.INDEXEDDB },
  description: 'Reviews, readings and traces',
})

/** How long a database that does not answer is waited for, ms. */
const PATIENCE_MS = 3000

const nameOf = (cause: unknown): string =>
  cause instanceof Error || cause instanceof DOMException ? cause.name : 'for no reason it gives'

/** A failed write, in plain words. */
export class StorageError extends Error {
  constructor(cause: unknown) {
    const full = cause instanceof DOMException && /quota/i.test(cause.name + cause.message)
    const kept = 'It is still on this screen: take the review away as a file'
    super(
      full
        ? `The browser’s storage is full, so the last change is not saved. ${kept}, then make room.`
        : `The last change could not be saved: the browser refused it (${nameOf(cause)}). ${kept}.`,
      { cause },
    )
    this.name = 'StorageError'
  }
}

/** The browser's database does not open, or never answers: what is in it is not known. */
export class NoStorageError extends Error {
  /** @param answered fulfilled once a database that was silent has answered after all. */
  constructor(
    why: 'refused' | 'silent',
    readonly answered: Promise<unknown> | null,
    cause?: unknown,
  ) {
    const said = {
      refused: 'The browser’s database (IndexedDB) does not open',
      silent: 'The browser’s database (IndexedDB) does not answer',
    }
    super(
      `${said[why]}, so nobody knows what is on this shelf, and nothing can be kept. Nothing was changed. ` +
        'A private window or a policy may forbid it, or another tab may hold it: ' +
        'close other tabs of this page and load it again. ' +
        (why === 'silent' ? 'If it answers late, this goes on by itself.' : ''),
      { cause },
    )
    this.name = 'NoStorageError'
  }
}

let opened: Promise<typeof records> | null = null

/**
 * The database, once it is open.
 * @throws NoStorageError when it will not open, or has not answered within three seconds.
 */
export function openDisk(): Promise<typeof records> {
  opened ??= open().catch(error => {
    opened = null
    throw error
  })
  return opened
}

async function open(): Promise<typeof records> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const ready = records.ready()
  const silence = new Promise<never>((_resolve, reject) => {
    timer = setTimeout(() => reject(new NoStorageError('silent', ready)), PATIENCE_MS)
  })
  try {
    await Promise.race([ready, silence])
    return records
  } catch (cause) {
    throw cause instanceof NoStorageError ? cause : new NoStorageError('refused', null, cause)
  } finally {
    clearTimeout(timer)
  }
}

/** Names of all records, asked for in one go where there is a connection of our own. @throws NoStorageError */
export async function recordNames(): Promise<string[]> {
  const names = await directly(async open => (await open.getAllKeys(RECORDS_STORE)).map(String))
  return names ?? (await openDisk()).keys()
}

/** So many records are worth waiting for a connection of our own: localForage reads each by itself. */
const MANY = 8

/** Records by name; those that are not there are null. @throws NoStorageError */
export async function readRecords(names: readonly string[]): Promise<Record<string, unknown>> {
  if (names.length === 0) return {}
  if (names.length > MANY) await connect()
  const found = await directly(open => {
    const { store } = open.transaction(RECORDS_STORE)
    return Promise.all(names.map(name => store.get(name) as Promise<unknown>))
  })
  if (!found) return (await openDisk()).getItems([...names])
  return Object.fromEntries(names.map((name, i) => [name, found[i] ?? null]))
}

/** What a connection of our own answers; null where there is none, or it does not. It is asked before this returns. */
async function directly<T>(ask: (open: IDBPDatabase) => Promise<T>): Promise<T | null> {
  try {
    return direct && (await ask(direct))
  } catch {
    // Closed meanwhile, by another tab or by the browser: localForage opens it again, or says why not.
    return null
  }
}

/**
 * A record; null where it is not there. The database is asked before this returns where it is open, so that it
 * works while the page draws.
 * @throws NoStorageError
 */
export async function readRecord(name: string): Promise<unknown> {
  const read = direct?.get(RECORDS_STORE, name)
  if (!read) void connect()
  try {
    if (read) return ((await read) as unknown) ?? null
  } catch {
    // Closed meanwhile, by another tab or by the browser: localForage opens it again, or says why not.
  }
  return (await openDisk()).getItem(name)
}

/** A connection of our own, once there is one: localForage asks its own only some turns later. */
let direct: IDBPDatabase | null = null
let connecting: Promise<void> | null = null

function connect(): Promise<void> {
  connecting ??= openDisk()
    .then(() =>
      openDB(DATABASE, undefined, {
        blocking(_current, _wanted, { target }) {
          direct = connecting = null
          ;(target as IDBDatabase).close()
        },
        terminated() {
          direct = connecting = null
        },
      }),
    )
    .then(open => {
      direct = open
    })
    .catch(() => {
      connecting = null
    })
  return connecting
}

/** What is to stand under a name where records are written; where something else does, nothing is. */
export interface Guard {
  name: string
  isAsExpected: (record: unknown) => boolean
}

type Entries = readonly (readonly [name: string, record: unknown])[]

/**
 * Writes records in one transaction: all of them, or none; their second copy follows.
 * @returns false where the guard found something else: nothing was written.
 * @throws StorageError
 */
export async function writeRecords(entries: Entries, guard?: Guard): Promise<boolean> {
  try {
    const isWritten = await (writtenAtOnce(entries, guard) ?? writtenInTurn(entries, guard))
    if (isWritten) following = followRecords(entries.map(([name]) => name))
    return isWritten
  } catch (cause) {
    throw cause instanceof NoStorageError ? cause : new StorageError(cause)
  }
}

/**
 * Looks and writes in one transaction, begun before this returns, so that the database works while the page draws
 * and no other tab comes in between; null where there is no connection of our own.
 */
function writtenAtOnce(entries: Entries, guard?: Guard): Promise<boolean> | null {
  const transaction = begunTransaction()
  if (!transaction) return null
  const { store, done } = transaction
  let isRefused = false
  const outcome = done.then(
    () => true,
    (cause: unknown) => {
      if (isRefused) return false
      throw cause
    },
  )
  // What a request meets ends the transaction, which tells it.
  const ignored = () => {}
  // All is asked for: the database need not wait for this page to have heard of each answer.
  const settle = () => (isRefused ? transaction.abort() : transaction.commit())
  try {
    if (guard)
      store.get(guard.name).then(record => {
        isRefused = !guard.isAsExpected(record ?? null)
        settle()
      }, ignored)
    for (const [name, record] of entries) store.put(record, name).catch(ignored)
    if (!guard) settle()
  } catch (cause) {
    outcome.catch(ignored)
    transaction.abort()
    throw cause
  }
  return outcome
}

function begunTransaction() {
  try {
    if (direct) return direct.transaction(RECORDS_STORE, 'readwrite')
  } catch {
    // Closed meanwhile, by another tab or by the browser: localForage opens it again, or says why not.
  }
  void connect()
  return null
}

async function writtenInTurn(entries: Entries, guard?: Guard): Promise<boolean> {
  const disk = await openDisk()
  if (guard && !guard.isAsExpected(await disk.getItem(guard.name))) return false
  await disk.setItems(entries.map(([key, value]) => ({ key, value })))
  return true
}

/** @throws StorageError */
export async function removeRecords(names: readonly string[]): Promise<void> {
  try {
    const disk = await openDisk()
    await Promise.all(names.map(name => disk.removeItem(name)))
    if (names.length > 0) following = followRecords(names)
  } catch (cause) {
    throw cause instanceof NoStorageError ? cause : new StorageError(cause)
  }
}

let following: Promise<void> = Promise.resolve()

/** Resolved once the second copy holds what was written last, or nothing can make it. */
export const followed = (): Promise<void> => following
