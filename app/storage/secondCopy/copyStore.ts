import pLimit from 'p-limit'
import { belongsTo } from '../recordNames'
import { type CopyEntry, framed, readCopy, type ReadCopy } from './copyEntries'
import { bytesOf, type CopyFolder, withFile } from './copyFolder'
import { copyFile, readFileName } from './copyNames'

/** The browser's database as the copy reads it. */
export interface Database {
  names: () => Promise<string[]>
  /** Records by name; those that are not there are undefined. */
  records: (names: readonly string[]) => Promise<unknown[]>
}

/** A copy is made anew when what was appended is more than this, and more than the copy itself was. */
const APPENDED_BYTES = 4e6

interface Entries {
  names: readonly string[]
  records: readonly unknown[]
}

/** The copy of a review in hand: which making, how large when it was made, how large now. */
interface Making {
  number: number
  madeBytes: number
  bytes: number
}

/**
 * The second copy of what the database keeps, in files: of each review the records as they are, appended as they
 * change. One job at a time. It asks the database itself, so that nobody waits for it.
 */
export function createCopyStore(folder: CopyFolder, database: Database) {
  const makings = new Map<string, Making>()
  const inTurn = pLimit(1)

  /** Appends what some records of a review are now. One that another tab has made, or nobody, is made anew. */
  const follow = (reviewId: string, names: readonly string[]) =>
    inTurn(async () => {
      const making = makings.get(reviewId)
      if (!making || making.bytes - making.madeBytes > Math.max(APPENDED_BYTES, making.madeBytes))
        return makeAnew(reviewId, await allOf(reviewId))
      const bytes = framed(entriesOf(names, await database.records(names)))
      const isOurs = await withFile(folder, copyFile(reviewId, making.number), file => {
        if (file.getSize() !== making.bytes) return false
        file.write(bytes, { at: making.bytes })
        file.flush()
        return true
      })
      if (isOurs) making.bytes += bytes.length
      else await makeAnew(reviewId, await allOf(reviewId))
    })

  /** Makes sure that the copy of a review holds what the database does. */
  const check = (reviewId: string) =>
    inTurn(async () => {
      const [found, all] = await Promise.all([newestCopy(reviewId), allOf(reviewId)])
      if (!found || !isSame(found.copy, all)) return makeAnew(reviewId, all)
      const { soundBytes } = found.copy
      await withFile(folder, copyFile(reviewId, found.number), file => file.truncate(soundBytes))
      makings.set(reviewId, { number: found.number, madeBytes: soundBytes, bytes: soundBytes })
    })

  /** Names and records of all that the database keeps of a review. */
  async function allOf(reviewId: string): Promise<Entries> {
    const names = (await database.names()).filter(name => belongsTo(reviewId, name))
    return { names, records: await database.records(names) }
  }

  async function makeAnew(reviewId: string, { names, records }: Entries): Promise<void> {
    makings.delete(reviewId)
    const older = await makingsOf(reviewId)
    const number = Math.max(0, ...older) + 1
    if (names.length > 0) {
      const bytes = framed([...entriesOf(names, records), { whole: true }])
      await withFile(folder, copyFile(reviewId, number), file => {
        file.truncate(0)
        file.write(bytes, { at: 0 })
        file.flush()
      })
      makings.set(reviewId, { number, madeBytes: bytes.length, bytes: bytes.length })
    }
    for (const one of older) await folder.remove(copyFile(reviewId, one))
  }

  async function makingsOf(reviewId: string): Promise<number[]> {
    return (await folder.names()).flatMap(name => {
      const file = readFileName(name)
      return file?.kind === 'copy' && file.reviewId === reviewId ? file.making : []
    })
  }

  /** The newest copy that is whole; one that was being made when the browser died is passed over. */
  async function newestCopy(reviewId: string): Promise<{ number: number; copy: ReadCopy } | null> {
    for (const number of (await makingsOf(reviewId)).sort((a, b) => b - a)) {
      const copy = readCopy(await withFile(folder, copyFile(reviewId, number), bytesOf))
      if (copy.isWhole) return { number, copy }
    }
    return null
  }

  /** The records of a review as its copy has them; null where there is none that is whole. */
  const recordsOf = (reviewId: string) =>
    inTurn(async () => (await newestCopy(reviewId))?.copy.records ?? null)

  /** Removes the copy of a review. */
  const forget = (reviewId: string) => inTurn(() => makeAnew(reviewId, { names: [], records: [] }))

  return { follow, check, recordsOf, forget }
}

export type CopyStore = ReturnType<typeof createCopyStore>

function entriesOf(names: readonly string[], records: readonly unknown[]): CopyEntry[] {
  return names.map((name, i) =>
    records[i] === undefined ? { name, gone: true } : { name, record: records[i] },
  )
}

/** Whether a copy holds just these records: told by their checksums, and by nothing where one has none. */
function isSame(copy: ReadCopy, { names, records }: Entries): boolean {
  if (copy.records.size !== names.length) return false
  return names.every((name, i) => {
    const [ours, theirs] = [sumOf(copy.records.get(name)), sumOf(records[i])]
    return ours !== null && ours === theirs
  })
}

function sumOf(record: unknown): number | null {
  const { sum } = (record ?? {}) as { sum?: unknown }
  return typeof sum === 'number' ? sum : null
}
