import { readFile } from 'node:fs/promises'
import { basename } from 'node:path'
import { createContext, type Context } from '#core/context'
import { type ReadReview, readReviewFile } from '#core/review'

/** A review from its file, ready to be judged. @throws CoreError in plain words. */
export async function readReview(path: string): Promise<{ bundle: ReadReview; context: Context }> {
  const bundle = readReviewFile(await readFile(path, 'utf8'), basename(path))
  return { bundle, context: createContext(bundle.review) }
}
