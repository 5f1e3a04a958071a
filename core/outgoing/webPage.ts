import type { Context } from '../context'
import { toHtml } from '../document'
import { buildReport, type ReportStamp } from '../report'
import { writeReviewFile } from '../review'

/** Under this id the review stands in the page, as a file of it would. */
const DATA_ID = 'rigorous-meter-review'

/**
 * The report as one page that needs nothing else, with the review in it: whoever has the page can take it out and
 * work every figure out again. Its pictures are shown; traces and clips do not travel in it.
 */
export function webPage(
  context: Context,
  stamp: ReportStamp & { writtenAt: string },
  pictures: ReadonlyMap<string, string> = new Map(),
): string {
  const { review } = context
  const bare = { review, traces: new Map(), curves: new Map(), pictures: new Map(), clips: new Map() }
  const file = writeReviewFile(bare, { version: stamp.version, at: stamp.writtenAt })
  return toHtml(buildReport(context, stamp), {
    pictures,
    data: { id: DATA_ID, json: JSON.stringify(JSON.parse(file)) },
    linked: {
      '@context': 'https://schema.org',
      '@type': 'Report',
      name: review.title,
      ...(review.reviewer === '' ? {} : { author: { '@type': 'Person', name: review.reviewer } }),
      dateCreated: review.createdAt.slice(0, 10),
      dateModified: review.updatedAt.slice(0, 10),
      about: review.sets.map(({ make, model }) => ({
        '@type': 'Product',
        name: `${make} ${model}`.trim() || 'a radio',
      })),
      abstract: review.purpose,
    },
  })
}
