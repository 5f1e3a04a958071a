import { CoreError } from '#core/errors'
import type { ReadReview, ReviewBundle } from '#core/review'
import type { SalvagedFile } from '~/components/shelf/DamagedFile.vue'

/** Brings one review file in: about one that is there already, and about a damaged one, a person is asked first. */
export function useBringInOne() {
  const shelf = useShelfStore()
  const ui = useUiStore()
  /** A review that is on the shelf already. */
  const waiting = shallowRef<ReviewBundle | null>(null)
  const damagedFile = shallowRef<SalvagedFile | null>(null)

  async function bringIn(file: File | undefined): Promise<void> {
    if (!file) return
    try {
      await offer(await shelf.readFile(file))
    } catch (error) {
      if (!(error instanceof CoreError) || error.code !== 'bad-review') return ui.sayProblem(error)
      await offerSound(file, error)
    }
  }

  async function offer(bundle: ReadReview): Promise<void> {
    if (shelf.isOnShelf(bundle.review.id)) waiting.value = bundle
    else await put(bundle)
  }

  /** A damaged file: nothing comes in before it was said what would be left out. */
  async function offerSound(file: File, error: CoreError): Promise<void> {
    try {
      const sound = await shelf.salvageFile(file)
      if (sound) damagedFile.value = { why: error.message, ...sound }
      else ui.sayProblem(error)
    } catch (cause) {
      ui.sayProblem(cause)
    }
  }

  async function put(bundle: ReviewBundle & { missing?: string[] }): Promise<void> {
    try {
      await shelf.put(bundle)
      const missing = bundle.missing?.length ? ` Not in the file: ${bundle.missing.join(', ')}.` : ''
      ui.say(`“${bundle.review.title}” is on the shelf.${missing}`)
    } catch (error) {
      ui.sayProblem(error)
    }
    waiting.value = null
    damagedFile.value = null
  }

  const putCopy = (bundle: ReviewBundle) => void put(shelf.asCopy(bundle))

  return { waiting, damagedFile, bringIn, put, putCopy }
}
