/** A file of the second copy: the journal of a review, or one making of its copy. */
export type CopyFile =
  { reviewId: string; kind: 'journal' } | { reviewId: string; kind: 'copy'; making: number }

/** Any id as a file may be called; `%` is what no other character becomes. */
const written = (reviewId: string) => encodeURIComponent(reviewId)

export const journalFile = (reviewId: string): string => `${written(reviewId)}.journal`

/** A copy is made anew beside the one before, which goes once the new one is whole. */
export const copyFile = (reviewId: string, making: number): string => `${written(reviewId)}.${making}.copy`

/** What a file of the folder is; null for one that is none of ours. */
export function readFileName(name: string): CopyFile | null {
  const [, id, making, kind] = /^(.+?)(?:\.(\d+))?\.(journal|copy)$/.exec(name) ?? []
  if (id === undefined || (kind === 'copy') !== (making !== undefined)) return null
  const reviewId = decodeURIComponent(id)
  return kind === 'copy' ? { reviewId, kind, making: Number(making) } : { reviewId, kind: 'journal' }
}
