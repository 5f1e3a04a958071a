import type { Reading } from '#core/review'
import { disk, recordKey } from './disk'

/** Readings in one record: few enough to rewrite at a keystroke, many enough that a review takes few records. */
export const BATCH_SIZE = 256

/** One record of readings. */
export interface BatchRecord {
  schemaVersion: number
  readings: Reading[]
}

/** How many records so many readings take. */
export const batchCount = (readingCount: number): number => Math.ceil(readingCount / BATCH_SIZE)

/** The batches in which readings differ from those that are written, by their index. */
export function changedBatches(
  readings: readonly Reading[],
  written: readonly Reading[] | null,
): Map<number, Reading[]> {
  const changed = new Map<number, Reading[]>()
  for (let index = 0; index < batchCount(readings.length); index++) {
    const batch = batchOf(readings, index)
    if (written === null || differs(batch, batchOf(written, index))) changed.set(index, batch)
  }
  return changed
}

const batchOf = (readings: readonly Reading[], index: number): Reading[] =>
  readings.slice(index * BATCH_SIZE, (index + 1) * BATCH_SIZE)

const differs = (a: readonly Reading[], b: readonly Reading[]): boolean =>
  a.length !== b.length || a.some((reading, i) => reading !== b[i])

/**
 * The first `readingCount` readings from their batches; a batch that `over` brings stands before the
 * written one.
 * @returns null when a batch is missing.
 */
export async function readBatches(
  reviewId: string,
  readingCount: number,
  over: ReadonlyMap<number, Reading[]> = new Map(),
): Promise<Reading[] | null> {
  const batches = await Promise.all(
    Array.from({ length: batchCount(readingCount) }, async (_, index) => {
      const fresh = over.get(index)
      return fresh ?? (await disk.getItem<BatchRecord>(recordKey.batch(reviewId, index)))?.readings
    }),
  )
  const readings = batches.flatMap(batch => batch ?? []).slice(0, readingCount)
  return readings.length === readingCount ? readings : null
}
