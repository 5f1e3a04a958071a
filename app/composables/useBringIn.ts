import { plainWords } from '~/errors/plainWords'
import { ownBench } from '~/stores/ownBenchLater'
import { unzipped } from '~/workers/zipWorker'

/** Brings several review files in at once, also those of a backup. Nothing on the shelf is replaced. */
export function useBringIn({ one }: { one: (file: File | undefined) => Promise<void> }) {
  const shelf = useShelfStore()
  const ui = useUiStore()

  async function bringInAll(files: readonly File[]): Promise<void> {
    const isZip = ({ name }: File) => /\.zip$/i.test(name)
    if (files.length === 1 && !isZip(files[0]!)) return one(files[0])
    const refused: string[] = []
    let taken = 0
    let same = 0
    for (const file of files)
      try {
        for (const review of isZip(file) ? await reviewsIn(file) : [file]) {
          const came = await put(review).catch(cause => {
            refused.push(plainWords(cause))
            return null
          })
          if (came === 'new' || came === 'copy') taken += 1
          if (came === 'same') same += 1
        }
      } catch (error) {
        refused.push(plainWords(error))
      }
    for (const file of files.filter(isZip)) await bringInBench(file)
    tell({ taken, same, refused })
  }

  /** The bench of a backup, where there is none here: one that is here is not replaced. */
  async function bringInBench(file: File): Promise<void> {
    const [found] = await unzipped(file, '.bench.json').catch(() => [])
    if (!found) return
    const own = await ownBench()
    await own.load()
    if (!own.hasAnything) await own.bringIn(new File([found.bytes as BlobPart], found.name))
  }

  /** One that is there already in the very same state stays as it is; another state of it comes beside it. */
  async function put(file: File): Promise<'new' | 'copy' | 'same'> {
    const bundle = await shelf.readFile(file)
    const there = shelf.heads.find(({ id }) => id === bundle.review.id)
    if (there?.updatedAt === bundle.review.updatedAt) return 'same'
    await shelf.put(there ? shelf.asCopy(bundle) : bundle)
    return there ? 'copy' : 'new'
  }

  function tell({ taken, same, refused }: { taken: number; same: number; refused: readonly string[] }): void {
    const there = same > 0 ? ` ${same} were here already, just as they are.` : ''
    const words = `${taken} reviews are on the shelf.${there}`
    if (refused.length > 0) ui.sayProblem(new Error(`${words} Not brought in: ${refused.join(' ')}`))
    else ui.say(words)
  }

  return { bringInAll }
}

async function reviewsIn(file: File): Promise<File[]> {
  const found = await unzipped(file, '.review.json')
  if (found.length === 0) throw new Error(`There is no review in “${file.name}”. Nothing was changed.`)
  return found.map(({ name, bytes }) => new File([bytes as BlobPart], name, { type: 'application/json' }))
}
