/** What a record of a review's is called; those with many of a kind take the one's own name at the end. */
export const recordName = {
  head: (reviewId: string) => `head:${reviewId}`,
  shelf: (reviewId: string) => `shelf:${reviewId}`,
  part: (reviewId: string, part: string) => `part:${reviewId}:${part}`,
  trace: (reviewId: string, traceId: string) => `trace:${reviewId}:${traceId}`,
  curve: (reviewId: string, curveId: string) => `curve:${reviewId}:${curveId}`,
  picture: (reviewId: string, pictureId: string) => `picture:${reviewId}:${pictureId}`,
  clip: (reviewId: string, clipId: string) => `clip:${reviewId}:${clipId}`,
  /** All readings in one record, as forms up to 3 kept them, and the start of the batches of forms 4 and 5. */
  olderReadings: (reviewId: string) => `readings:${reviewId}`,
}

const KINDS_OF_ONE = ['head', 'shelf', 'readings']
const KINDS_OF_MANY = ['part', 'readings', 'trace', 'curve', 'picture', 'clip']

/** Whether a record belongs to a review. */
export function belongsTo(reviewId: string, name: string): boolean {
  return (
    KINDS_OF_ONE.some(kind => name === `${kind}:${reviewId}`) ||
    KINDS_OF_MANY.some(kind => name.startsWith(`${kind}:${reviewId}:`))
  )
}

/** The reviews that have a head record. */
export function reviewsAmong(names: readonly string[]): string[] {
  return names.flatMap(name => (name.startsWith('head:') ? name.slice('head:'.length) : []))
}

/** The review a record belongs to; null where it belongs to none. */
export function reviewIdIn(name: string): string | null {
  const [kind = '', id] = name.split(':')
  return id !== undefined && [...KINDS_OF_ONE, ...KINDS_OF_MANY].includes(kind) ? id : null
}
