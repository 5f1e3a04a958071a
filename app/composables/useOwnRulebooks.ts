import { CoreError } from '#core/errors'
import type { Review } from '#core/review'
import {
  copyRulebook,
  MAX_RULEBOOK_LENGTH,
  readRulebookFile,
  type Rulebook,
  rulebookById,
  rulebooks,
  validateRulebook,
  writeRulebookFile,
  yardsticks,
} from '#core/rules'
import { downloadFile, fileNameFrom } from './useDownload'

/**
 * The reviewer's own rulebooks: copied, changed, brought in, taken away. Every change is held against the
 * schema before it is kept.
 */
export function useOwnRulebooks() {
  const store = useReviewStore()
  const ui = useUiStore()
  const own = computed(() => store.review?.ownRulebooks ?? [])
  const all = computed(() => [...rulebooks, ...yardsticks, ...own.value])

  function copy(id: string): string {
    const newId = `own-${crypto.randomUUID().slice(0, 8)}`
    const from = rulebookById(id, own.value)
    store.change(`a copy of ${from.title}`, draft => void draft.ownRulebooks.push(copyRulebook(from, newId)))
    return newId
  }

  /** Changes one of them; a change that would break it is refused in words, and nothing is kept of it. */
  function change(id: string, label: string, recipe: (draft: Rulebook) => void): string | null {
    const found = own.value.find(book => book.id === id)
    if (!found) return 'This rulebook is not in the review any more.'
    const next = JSON.parse(JSON.stringify(found)) as Rulebook
    recipe(next)
    try {
      const valid = validateRulebook(next)
      store.change(label, draft => {
        draft.ownRulebooks = draft.ownRulebooks.map(book => (book.id === id ? valid : book))
      })
      return null
    } catch (error) {
      if (error instanceof CoreError) return error.message
      throw error
    }
  }

  function remove(book: Rulebook): void {
    if (!store.review) return
    if (isJudgedBy(store.review, book)) {
      ui.say(`Something is judged by “${book.title}”. Choose another rulebook there first; it stays.`)
      return
    }
    store.change(`the rulebook ${book.title} removed`, draft => {
      draft.ownRulebooks = draft.ownRulebooks.filter(({ id }) => id !== book.id)
    })
  }

  async function bringIn(file: File | undefined): Promise<void> {
    if (!file) return
    try {
      const book = await rulebookIn(file)
      const taken = all.value.some(({ id }) => id === book.id)
      const kept = taken ? { ...book, id: `own-${crypto.randomUUID().slice(0, 8)}` } : book
      store.change(`the rulebook ${book.title} brought in`, draft => void draft.ownRulebooks.push(kept))
      ui.say(`“${book.title}” is here, as your own. Tick it to judge by it.`)
    } catch (error) {
      ui.sayProblem(error)
    }
  }

  return { own, all, copy, change, remove, takeAway, bringIn }
}

function takeAway(book: Rulebook): void {
  downloadFile(
    `${fileNameFrom(book.title)}.rulebook.json`,
    new Blob([writeRulebookFile(book)], { type: 'application/json' }),
  )
}

/** True where something of the review is judged by a rulebook. */
function isJudgedBy({ settings, sets }: Review, { id }: Rulebook): boolean {
  const ofBands = sets.flatMap(set => set.bands.flatMap(band => band.rulebookIds ?? []))
  return [...settings.rulebookIds, settings.yardstickId, ...ofBands].includes(id)
}

async function rulebookIn(file: File): Promise<Rulebook> {
  if (file.size > 2 * MAX_RULEBOOK_LENGTH)
    throw new CoreError('too-large', `“${file.name}” is larger than any rulebook. Nothing was changed.`, {
      fileName: file.name,
      got: file.size,
      max: MAX_RULEBOOK_LENGTH,
      unit: 'bytes',
    })
  return readRulebookFile(await file.text(), file.name)
}
