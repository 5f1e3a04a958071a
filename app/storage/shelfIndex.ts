import type { Review } from '#core/review'
import { disk, recordKey, write } from './disk'

/** What the shelf shows of a review without opening it. */
export interface ReviewHead {
  id: string
  title: string
  setNames: string[]
  readingCount: number
  updatedAt: string
}

/** The part of a head record the shelf needs; every form has it. */
interface HeadRecord {
  review: Pick<Review, 'id' | 'title' | 'updatedAt' | 'sets'>
  readingCount: number
}

/** What the shelf shows of a review. */
export function headOf({ review, readingCount }: HeadRecord): ReviewHead {
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
 * All reviews on the shelf, the newest first, from one small record each. A review kept before there was an
 * index, or whose small record never got written, is put into the index here.
 */
export async function listReviews(): Promise<ReviewHead[]> {
  const keys = await disk.keys()
  const ids = keys.flatMap(key => (key.startsWith('head:') ? key.slice('head:'.length) : []))
  const heads = await Promise.all(ids.map(indexed))
  return heads.flatMap(head => head ?? []).sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))
}

async function indexed(id: string): Promise<ReviewHead | null> {
  const known = await disk.getItem<ReviewHead>(recordKey.shelf(id))
  if (known) return known
  const record = await disk.getItem<HeadRecord>(recordKey.head(id))
  if (!record) return null
  const head = headOf(record)
  await write(() => disk.setItem(recordKey.shelf(id), head)).catch(() => null)
  return head
}
