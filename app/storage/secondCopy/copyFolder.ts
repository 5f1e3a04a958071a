/** A file that is open: bytes at a place, at once, and flushed to the disk when asked. */
export interface OpenFile {
  getSize: () => number
  read: (into: Uint8Array, options: { at: number }) => number
  write: (bytes: Uint8Array, options: { at: number }) => number
  truncate: (size: number) => void
  flush: () => void
  close: () => void
}

/** The folder of the second copy. */
export interface CopyFolder {
  names: () => Promise<string[]>
  /** A file, made where there is none. @throws DOMException while another tab has it open. */
  open: (name: string) => Promise<OpenFile>
  /** @throws DOMException while another tab has it open. */
  remove: (name: string) => Promise<void>
}

const FOLDER = 'rigorous-meter'

/**
 * The folder in the browser's private file system: nothing it keeps in a database of its own.
 * @throws where the browser has none, or does not give it here.
 */
export async function privateFolder(): Promise<FileSystemDirectoryHandle> {
  return (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true })
}

/** The library of types does not know that a folder can be walked through. */
type Walked = FileSystemDirectoryHandle & { keys: () => AsyncIterable<string> }

export async function namesIn(folder: FileSystemDirectoryHandle): Promise<string[]> {
  const names: string[] = []
  for await (const name of (folder as Walked).keys()) names.push(name)
  return names
}

/**
 * What the worker does with it: only there can a file be written at once. Where a file stands is asked once: that
 * takes the browser longer than all that is written to it.
 */
export function workerFolder(): CopyFolder {
  const folder = privateFolder()
  const places = new Map<string, FileSystemFileHandle>()

  async function placeOf(name: string): Promise<FileSystemFileHandle> {
    const place = places.get(name) ?? (await (await folder).getFileHandle(name, { create: true }))
    places.set(name, place)
    return place
  }

  return {
    names: async () => namesIn(await folder),
    async open(name) {
      try {
        return await (await placeOf(name)).createSyncAccessHandle()
      } catch (error) {
        if (!isMissing(error)) throw error
        // Another tab has removed it since.
        places.delete(name)
        return (await placeOf(name)).createSyncAccessHandle()
      }
    },
    async remove(name) {
      places.delete(name)
      await (await folder).removeEntry(name).catch((error: unknown) => {
        if (!isMissing(error)) throw error
      })
    },
  }
}

const isMissing = (error: unknown): boolean => error instanceof DOMException && error.name === 'NotFoundError'

/** Opens a file for one piece of work. */
export async function withFile<T>(folder: CopyFolder, name: string, work: (file: OpenFile) => T): Promise<T> {
  const file = await folder.open(name)
  try {
    return work(file)
  } finally {
    file.close()
  }
}

export function bytesOf(file: OpenFile): Uint8Array {
  const bytes = new Uint8Array(file.getSize())
  file.read(bytes, { at: 0 })
  return bytes
}
