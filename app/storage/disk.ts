import localforage from 'localforage'

/** The browser's database of reviews, readings, traces, curves and pictures. */
export const disk = localforage.createInstance({
  name: 'rigorous-meter',
  storeName: 'reviews',
  description: 'Reviews, readings and traces',
})

/** What a record of a review's is called; those with many of a kind take the one's own name at the end. */
export const recordKey = {
  head: (reviewId: string) => `head:${reviewId}`,
  shelf: (reviewId: string) => `shelf:${reviewId}`,
  /** All readings in one record, as forms up to 3 kept them. */
  oldReadings: (reviewId: string) => `readings:${reviewId}`,
  batch: (reviewId: string, index: number) => `readings:${reviewId}:${index}`,
  trace: (reviewId: string, traceId: string) => `trace:${reviewId}:${traceId}`,
  curve: (reviewId: string, curveId: string) => `curve:${reviewId}:${curveId}`,
  picture: (reviewId: string, pictureId: string) => `picture:${reviewId}:${pictureId}`,
}

const KINDS_OF_ONE = ['head', 'shelf', 'readings']
const KINDS_OF_MANY = ['readings', 'trace', 'curve', 'picture']

/** Whether a record belongs to a review. */
export function belongsTo(reviewId: string, key: string): boolean {
  return (
    KINDS_OF_ONE.some(kind => key === `${kind}:${reviewId}`) ||
    KINDS_OF_MANY.some(kind => key.startsWith(`${kind}:${reviewId}:`))
  )
}

/** A failed write, in plain words. */
export class StorageError extends Error {
  constructor(cause: unknown) {
    const full = cause instanceof DOMException && /quota/i.test(cause.name + cause.message)
    const kept = 'It is still on this screen: take the review away as a file'
    super(
      full
        ? `The browser’s storage is full, so the last change is not saved. ${kept}, then make room.`
        : `The last change could not be saved (${cause instanceof Error ? cause.message : String(cause)}). ${kept}.`,
      { cause },
    )
    this.name = 'StorageError'
  }
}

/** @throws StorageError when the write fails. */
export async function write(run: () => Promise<unknown>): Promise<void> {
  try {
    await run()
  } catch (cause) {
    throw new StorageError(cause)
  }
}
