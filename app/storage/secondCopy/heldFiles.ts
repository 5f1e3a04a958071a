import type { CopyFolder, OpenFile } from './copyFolder'

/** How long a file stays open after it was used, ms: the next journal mostly comes at once. */
const HELD_MS = 200

/** A file that was not given for so long is asked for again, ms: a request can get lost while the file is closed. */
const PATIENCE_MS = 500
/** One that another tab has open is asked for again after so long, ms. */
const PAUSE_MS = 100
const ROUNDS = 4

/**
 * A folder whose files stay open for a moment after they were used. Opened the moment it was closed, a file takes
 * longer than all that is written to it, and now and then the browser never answers: then it is asked again.
 */
export function heldOpen(folder: CopyFolder): CopyFolder {
  const held = new Map<string, { file: OpenFile; closing: ReturnType<typeof setTimeout> }>()

  /** The file, which nobody is going to close any more; null where it is not held. */
  function takenBack(name: string): OpenFile | null {
    const one = held.get(name)
    if (!one) return null
    clearTimeout(one.closing)
    held.delete(name)
    return one.file
  }

  const letGo = (name: string) => takenBack(name)?.close()

  return {
    names: folder.names,
    async open(name) {
      const file = takenBack(name) ?? (await whenFree(() => givenSoon(folder.open(name))))
      return {
        getSize: () => file.getSize(),
        read: (into, place) => file.read(into, place),
        write: (bytes, place) => file.write(bytes, place),
        truncate: size => file.truncate(size),
        flush: () => file.flush(),
        close: () => held.set(name, { file, closing: setTimeout(() => letGo(name), HELD_MS) }),
      }
    },
    async remove(name) {
      letGo(name)
      await whenFree(() => folder.remove(name))
    },
  }
}

/** The browser has not given a file for a while. */
class NotGivenError extends Error {
  constructor() {
    super('The browser does not open a file of its own.')
    this.name = 'NotGivenError'
  }
}

/** @throws NotGivenError where it takes too long: should the file come yet, it is closed again. */
async function givenSoon(asking: Promise<OpenFile>): Promise<OpenFile> {
  const file = await Promise.race([asking, pause(PATIENCE_MS)])
  if (file) return file
  asking.then(
    late => late.close(),
    () => {},
  )
  throw new NotGivenError()
}

/** Asks again for what another tab has open, or what is not given. @throws what the last of several rounds met. */
async function whenFree<T>(ask: () => Promise<T>): Promise<T> {
  for (let round = 1; ; round++)
    try {
      return await ask()
    } catch (error) {
      if (round === ROUNDS || !(error instanceof NotGivenError || isTaken(error))) throw error
      await pause(PAUSE_MS)
    }
}

const isTaken = (error: unknown): boolean =>
  error instanceof DOMException && error.name === 'NoModificationAllowedError'

const pause = (ms: number): Promise<void> => new Promise(resolve => setTimeout(resolve, ms))
