import { expose } from 'comlink'
import { type IDBPDatabase, openDB } from 'idb'
import { workerFolder } from '~/storage/secondCopy/copyFolder'
import { heldOpen } from '~/storage/secondCopy/heldFiles'
import { createCopyStore } from '~/storage/secondCopy/copyStore'
import { DATABASE, RECORDS_STORE } from '~/storage/secondCopy/database'
import { createJournalStore } from '~/storage/secondCopy/journalStore'

let connection: Promise<IDBPDatabase> | null = null

/** The page has opened the database before it asks anything, so the version is whatever it is. */
function connect(): Promise<IDBPDatabase> {
  connection ??= openDB(DATABASE, undefined, {
    blocking(_current, _wanted, { target }) {
      connection = null
      ;(target as IDBDatabase).close()
    },
    terminated() {
      connection = null
    },
  })
  return connection
}

const folder = heldOpen(workerFolder())

const copies = createCopyStore(folder, {
  names: async () => (await (await connect()).getAllKeys(RECORDS_STORE)).map(String),
  async records(names) {
    const { store } = (await connect()).transaction(RECORDS_STORE)
    return Promise.all(names.map(name => store.get(name) as Promise<unknown>))
  },
})

expose({ ...copies, ...createJournalStore(folder) })
