import {
  emptyBench,
  isEmptyBench,
  keptFrom,
  type OwnBench,
  readBenchFile,
  writeBenchFile,
} from '#core/own-bench'
import { type Phrasebook, readPhrasebookFile } from '#core/link'
import type { Review } from '#core/review'
import { plainWords } from '~/errors/plainWords'
import { loadOwnBench, saveOwnBench } from '~/storage/ownBenchStore'

/** The reviewer's own bench and rulebooks, kept beside the reviews. */
export const useOwnBenchStore = defineStore('ownBench', () => {
  const ui = useUiStore()
  const bench = shallowRef<OwnBench>(emptyBench(''))
  const isLoaded = ref(false)
  const problem = ref('')
  const isEmpty = computed(() => isEmptyBench(bench.value))
  /** Anything there is to be taken away: phrasebooks and closing words too. */
  const hasAnything = computed(
    () => !isEmpty.value || bench.value.phrasebooks.length > 0 || bench.value.closing !== '',
  )

  async function load(): Promise<void> {
    if (isLoaded.value) return
    try {
      bench.value = await loadOwnBench()
      isLoaded.value = true
      problem.value = ''
    } catch (error) {
      problem.value = plainWords(error)
    }
  }

  /** What another tab kept meanwhile is not overwritten unseen: it is read again first. */
  async function change(words: string, next: (now: OwnBench) => OwnBench): Promise<boolean> {
    try {
      const changed = next(await loadOwnBench())
      await saveOwnBench(changed)
      bench.value = changed
      isLoaded.value = true
      ui.say(words)
      return true
    } catch (error) {
      ui.sayProblem(error)
      return false
    }
  }

  const now = () => new Date().toISOString()

  const keepFrom = (review: Review) =>
    change('This bench is yours now: a new review can take copies of it.', kept =>
      keptFrom(review, kept, now()),
    )

  type Lists = 'instruments' | 'chains' | 'calibrations' | 'rulebooks' | 'phrasebooks'

  function remove(list: Lists, id: string, words: string): Promise<boolean> {
    return change(words, kept => ({
      ...kept,
      [list]: without(kept[list] as readonly { id: string }[], id),
      changedAt: now(),
    }))
  }

  function keepClosing(closing: string): Promise<boolean> {
    return change('These words close what goes out.', kept => ({ ...kept, closing, changedAt: now() }))
  }

  /** A phrasebook of one's own; one of the same id is replaced. */
  function keepPhrasebook(book: Phrasebook, words: string): Promise<boolean> {
    return change(words, kept => ({
      ...kept,
      phrasebooks: [...kept.phrasebooks.filter(({ id }) => id !== book.id), book],
      changedAt: now(),
    }))
  }

  async function bringInPhrasebook(file: File): Promise<void> {
    try {
      const book = readPhrasebookFile(await file.text(), file.name)
      await keepPhrasebook(book, `“${book.title}” is on your bench.`)
    } catch (error) {
      ui.sayProblem(error)
    }
  }

  async function bringIn(file: File): Promise<void> {
    try {
      const brought = readBenchFile(await file.text(), file.name)
      await change(`“${file.name}” is your bench now.`, () => brought)
    } catch (error) {
      ui.sayProblem(error)
    }
  }

  const asFile = () => new Blob([writeBenchFile(bench.value)], { type: 'application/json' })

  return {
    ...{ bench, isLoaded, isEmpty, hasAnything, problem: readonly(problem) },
    ...{ load, keepFrom, remove, bringIn, asFile },
    ...{ keepClosing, keepPhrasebook, bringInPhrasebook },
  }
})

function without<T extends { id: string }>(list: readonly T[], gone: string): T[] {
  return list.filter(({ id }) => id !== gone)
}
