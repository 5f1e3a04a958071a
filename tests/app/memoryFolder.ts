import { openDB } from 'idb'
import type { CopyAccess } from '~/storage/secondCopy/access'
import type { CopyFolder, OpenFile } from '~/storage/secondCopy/copyFolder'
import { createCopyStore } from '~/storage/secondCopy/copyStore'
import { DATABASE, RECORDS_STORE } from '~/storage/secondCopy/database'
import { createJournalStore } from '~/storage/secondCopy/journalStore'

/** A folder in memory that behaves as the browser's: bytes at places, nothing between them, names in no order. */
export function memoryFolder() {
  const files = new Map<string, Uint8Array>()
  const folder: CopyFolder = {
    names: () => Promise.resolve([...files.keys()]),
    open: name => {
      if (!files.has(name)) files.set(name, new Uint8Array())
      return Promise.resolve(fileOf(files, name))
    },
    remove: name => {
      files.delete(name)
      return Promise.resolve()
    },
  }
  return { files, folder }
}

function fileOf(files: Map<string, Uint8Array>, name: string): OpenFile {
  const bytes = () => files.get(name)!
  return {
    getSize: () => bytes().length,
    read(into, { at }) {
      into.set(bytes().subarray(at, at + into.length))
      return into.length
    },
    write(part, { at }) {
      const grown = new Uint8Array(Math.max(bytes().length, at + part.length))
      grown.set(bytes())
      grown.set(part, at)
      files.set(name, grown)
      return part.length
    },
    truncate: size => void files.set(name, bytes().slice(0, size)),
    flush: () => {},
    close: () => {},
  }
}

/** The second copy as the page reaches it, its worker here and its files in memory. */
export function accessInMemory(): { access: CopyAccess; files: Map<string, Uint8Array> } {
  const { files, folder } = memoryFolder()
  const open = () => openDB(DATABASE)
  const copies = createCopyStore(folder, {
    names: async () => (await (await open()).getAllKeys(RECORDS_STORE)).map(String),
    records: async names => {
      const { store } = (await open()).transaction(RECORDS_STORE)
      return Promise.all(names.map(name => store.get(name) as Promise<unknown>))
    },
  })
  const worker = { ...copies, ...createJournalStore(folder) }
  const bytes = (name: string) => Promise.resolve(files.get(name) ?? null)
  return { files, access: { work: ask => ask(worker), names: folder.names, bytes } }
}
