import type { Review } from '#core/review'
import { readRecords, recordNames } from './disk'
import { broughtBack } from './lostDatabase'
import { isOlderHead } from './olderForms'
import { recordName, reviewsAmong } from './recordNames'
import { journalled } from './reviewJournal'
import { unseal } from './seal'

/** What the shelf shows of a review without opening it. */
export interface ReviewHead {
  id: string
  title: string
  setNames: string[]
  readingCount: number
  updatedAt: string
}

/** A review whose head cannot be read: it is shown all the same, with what can be saved of it. */
export interface DamagedHead {
  id: string
  why: string
}

/** What is on the shelf. */
export interface ShelfContents {
  /** The newest first. */
  heads: ReviewHead[]
  damaged: DamagedHead[]
  /** Those the browser's database had lost, and that are back from their second copies. */
  back: string[]
}

/** What the shelf shows of a review. */
export function shelfLineOf(
  review: Pick<Review, 'id' | 'title' | 'updatedAt' | 'sets'>,
  readingCount: number,
): ReviewHead {
  return {
    id: review.id,
    title: review.title,
    updatedAt: review.updatedAt,
    readingCount,
    setNames: review.sets.map(({ make, model, sample }) =>
      `${make} ${model}${sample ? ` ${sample}` : ''}`.trim(),
    ),
  }
}

/**
 * All reviews on the shelf. One whose head is damaged, or of which only parts or a journal are left, is listed
 * as damaged: nothing that is kept goes unseen.
 * @throws NoStorageError
 */
export async function listReviews(): Promise<ShelfContents> {
  const back = await broughtBack()
  const names = await recordNames()
  const there = new Set(names)
  const ids = reviewsAmong(names)
  const asked = ids.map(id => (there.has(recordName.shelf(id)) ? recordName.shelf(id) : recordName.head(id)))
  const records = await readRecords(asked)
  const heads: ReviewHead[] = []
  const damaged: DamagedHead[] = []
  ids.forEach((id, i) => {
    const line = lineIn(records[asked[i]!])
    if (line) heads.push(line)
    else damaged.push({ id, why: 'Its head cannot be read.' })
  })
  for (const id of await headless(names, new Set(ids)))
    damaged.push({ id, why: 'Its head is missing; other records of it are here.' })
  return { heads: heads.sort((a, b) => b.updatedAt.localeCompare(a.updatedAt)), damaged, back }
}

async function headless(names: readonly string[], known: ReadonlySet<string>): Promise<string[]> {
  const ofParts = names.flatMap(name => (name.startsWith('part:') ? name.split(':')[1]! : []))
  return [...new Set([...ofParts, ...(await journalled())])].filter(id => !known.has(id))
}

function lineIn(record: unknown): ReviewHead | null {
  if (isOlderHead(record)) {
    const review = record.review as unknown as Review
    return isLine({ ...review, readingCount: record.readingCount, setNames: [] })
      ? shelfLineOf(review, record.readingCount)
      : null
  }
  if (isLine(record)) return record
  const head = unseal(record)
  const { line } = head.is === 'sound' ? (head.value as { line?: unknown }) : {}
  return isLine(line) ? line : null
}

function isLine(value: unknown): value is ReviewHead {
  const line = value as Partial<ReviewHead> | null | undefined
  return (
    typeof line?.id === 'string' &&
    typeof line.title === 'string' &&
    typeof line.updatedAt === 'string' &&
    typeof line.readingCount === 'number' &&
    Array.isArray(line.setNames)
  )
}
