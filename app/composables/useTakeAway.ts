import type { ReviewBundle } from '#core/bundle'
import type { Review } from '#core/review'
import { rawRecords } from '~/storage'
import { noteBackup } from '~/storage/storageHealth'

/** Takes reviews away as files, and tells what of them could not go along. */
export function useTakeAway() {
  const shelf = useShelfStore()
  const ui = useUiStore()
  const version = String(useRuntimeConfig().public.version)

  async function hand(bundle: ReviewBundle): Promise<void> {
    const { missingIn, writeReviewFile } = await import('#core/review')
    const text = writeReviewFile(bundle, { version, at: new Date().toISOString() })
    const name = `${fileNameFrom(bundle.review.title)}.review.json`
    downloadFile(name, new Blob([text], { type: 'application/json' }))
    noteBackup(bundle.review.id)
    const missing = missingIn(bundle)
    if (missing.length > 0)
      ui.say(
        `Not in the file, because it cannot be read in this browser: ${missing.join(', ')}. All figures are.`,
      )
  }

  async function orTell(run: () => Promise<void>): Promise<void> {
    try {
      await run()
    } catch (error) {
      ui.sayProblem(error)
    }
  }

  return {
    /** A review as it stands on the screen. */
    takeAway: (review: Review) => orTell(async () => hand(await shelf.pointsOf(review))),

    /** A review as it stands on the shelf. */
    takeFromShelf: (id: string) =>
      orTell(async () => {
        const bundle = await shelf.bundleOf(id)
        if (bundle) await hand(bundle)
      }),

    /** All records of a review just as they are kept. */
    takeRaw: (id: string) =>
      orTell(async () => {
        const text = await rawRecords(id)
        downloadFile(`${fileNameFrom(id)}.records.json`, new Blob([text], { type: 'application/json' }))
      }),
  }
}
