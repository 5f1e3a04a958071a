import type { ReviewSettings } from '#core/review'

/** The rulebooks the review is judged by, and the settings that stand beside them. */
export function useJudgedBy() {
  const store = useReviewStore()
  const { own, all } = useOwnRulebooks()
  const settings = computed(() => store.review!.settings)
  const ids = computed(() => settings.value.rulebookIds)
  const chosen = computed(() => ids.value.flatMap(id => all.value.find(book => book.id === id) ?? []))
  const yardstick = computed(() => all.value.find(({ id }) => id === settings.value.yardstickId) ?? null)

  function change(label: string, recipe: (draft: ReviewSettings) => void): void {
    store.change(label, draft => recipe(draft.settings))
  }
  return { own, all, settings, ids, chosen, yardstick, change }
}
