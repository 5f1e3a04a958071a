import { readRecords, recordNames } from './disk'
import { belongsTo } from './recordNames'
import { journalsAsKept } from './reviewJournal'

/**
 * Everything that is kept of a review, just as it is kept, as one JSON text: for a person who knows what to do
 * with it when nothing else helps.
 */
export async function rawRecords(reviewId: string): Promise<string> {
  const names = (await recordNames()).filter(name => belongsTo(reviewId, name))
  const journals = await journalsAsKept(reviewId)
  const file = { format: 'rigorous-meter-records', reviewId, records: await readRecords(names), journals }
  return JSON.stringify(
    file,
    (_key, value: unknown) => (ArrayBuffer.isView(value) ? [...plain(value)] : value),
    1,
  )
}

const plain = (view: ArrayBufferView): ArrayLike<number> & Iterable<number> =>
  view instanceof Float64Array ? view : new Uint8Array(view.buffer, view.byteOffset, view.byteLength)
