import { type Model, modelsOf } from '#core/review'

/** The models of the open review, and the one in hand: that of the radio on the bench, until another is chosen. */
export function useModels() {
  const store = useReviewStore()
  const { set, chooseSet } = useReviewRoute()
  const models = computed(() => (store.review ? modelsOf(store.review) : []))
  const model = computed<Model | null>(
    () =>
      models.value.find(({ sets }) => sets.some(({ id }) => id === set.value?.id)) ?? models.value[0] ?? null,
  )
  const choices = computed(() => models.value.map(({ key, name }) => ({ value: key, title: name })))

  function choose(key: string): void {
    const first = models.value.find(one => one.key === key)?.sets[0]
    if (first) chooseSet(first.id)
  }

  return { models, model, choices, choose }
}
