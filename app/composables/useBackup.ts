import { format } from 'date-fns'
import { noteBackup } from '~/storage/storageHealth'
import { ownBench } from '~/stores/ownBenchLater'
import { downloadFile, fileNameFrom } from './useDownload'

/** My bench in a backup. */
const BENCH_NAME = 'my-bench.bench.json'

/** Takes several reviews away in one zip, each as a file of its own that can be brought in again. */
export function useBackup() {
  const shelf = useShelfStore()
  const ui = useUiStore()
  const version = String(useRuntimeConfig().public.version)
  const { progress, problem, run } = useCancellableWork()

  /** @param ids - of reviews; what the browser keeps besides goes along where it is everything. */
  async function takeAway(ids: readonly string[], isEverything: boolean): Promise<void> {
    const [{ writeReviewFile }, { zipped }] = await Promise.all([
      import('#core/review'),
      import('~/workers/zipWorker'),
    ])
    const made = await run(async onProgress => {
      const files: Record<string, Uint8Array> = {}
      const left: string[] = []
      for (const [done, id] of ids.entries()) {
        const bundle = await shelf.bundleOf(id).catch(() => null)
        if (bundle) {
          const text = writeReviewFile(bundle, { version, at: new Date().toISOString() })
          const name = `${fileNameFrom(bundle.review.title)}-${id.slice(0, 8)}.review.json`
          files[name] = new TextEncoder().encode(text)
        } else left.push(id)
        onProgress((done + 1) / ids.length)
      }
      if (isEverything) {
        const own = await ownBench()
        await own.load()
        if (own.hasAnything) files[BENCH_NAME] = new Uint8Array(await own.asFile().arrayBuffer())
      }
      return { blob: await zipped(files), taken: ids.filter(id => !left.includes(id)), left }
    })
    if (!made) return
    const day = format(new Date(), 'yyyy-MM-dd')
    downloadFile(`rigorous-meter-${isEverything ? 'backup' : 'reviews'}-${day}.zip`, made.blob)
    for (const id of made.taken) noteBackup(id)
    const lost = made.left.length > 0 ? ` ${made.left.length} could not be read and are not in it.` : ''
    ui.say(`${made.taken.length} reviews are in one file among your downloads.${lost}`)
  }

  return { progress, problem, takeAway }
}
