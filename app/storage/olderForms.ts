import type { Reading } from '#core/review'
import { readRecords } from './disk'
import { recordName } from './recordNames'

/** The head record of forms up to 5: a review without its readings, and without a seal. */
export interface OlderHead {
  schemaVersion: number
  review: Record<string, unknown>
  readingCount: number
  /** Which write this is; absent in forms up to 3, whose readings are in one record. */
  revision?: string
}

const READINGS_A_BATCH = 256

export function isOlderHead(record: unknown): record is OlderHead {
  return (
    typeof record === 'object' &&
    record !== null &&
    'review' in record &&
    typeof record.review === 'object' &&
    record.review !== null
  )
}

interface OlderBatch {
  readings: Reading[]
}

/** A review as forms up to 5 kept it, and how many of its readings are not there. */
export async function readOlder(
  id: string,
  head: OlderHead,
): Promise<{ data: Record<string, unknown>; lostReadings: number }> {
  const names = olderNames(id, head)
  const records = (await readRecords(names)) as Record<string, OlderBatch | null>
  const readings = names.flatMap(name => records[name]?.readings ?? []).slice(0, head.readingCount)
  return {
    data: { ...head.review, readings },
    lostReadings: Math.max(0, head.readingCount - readings.length),
  }
}

function olderNames(id: string, { revision, readingCount }: OlderHead): string[] {
  const single = recordName.olderReadings(id)
  return revision === undefined
    ? [single]
    : Array.from({ length: Math.ceil(readingCount / READINGS_A_BATCH) }, (_unused, i) => `${single}:${i}`)
}

/**
 * What a journal of forms up to 5 says the review is: the whole of it, or its head and the batches that changed.
 * @param stands - the readings on the disk.
 */
export function fromOlderJournal(data: unknown, stands: readonly Reading[]): unknown {
  const { head, readingCount, batches } = data as {
    head?: object
    readingCount?: number
    batches?: [number, Reading[]][]
  }
  if (!head || !Array.isArray(batches)) return data
  const readings = [...stands]
  for (const [index, batch] of batches) readings.splice(index * READINGS_A_BATCH, batch.length, ...batch)
  return { ...head, readings: readings.slice(0, readingCount) }
}
