import type { RadioSet } from '#core/review'

/** Where we are in a review: which radio, which step; and going elsewhere. */
export function useReviewRoute() {
  const route = useRoute()
  const router = useRouter()
  const store = useReviewStore()

  const reviewId = computed(() => String(route.params.reviewId ?? ''))
  const sets = computed(() => store.review?.sets ?? [])
  const set = computed<RadioSet | null>(
    () => sets.value.find(({ id }) => id === route.query.set) ?? sets.value[0] ?? null,
  )
  const stepId = computed(() => (typeof route.query.step === 'string' ? route.query.step : null))

  function placeTo(place: string, query: { set?: string; step?: string; slot?: string } = {}) {
    const setId = query.set ?? set.value?.id
    return {
      path: `/review/${reviewId.value}/${place}`,
      query: {
        ...(setId ? { set: setId } : {}),
        ...(query.step ? { step: query.step } : {}),
        ...(query.slot ? { slot: query.slot } : {}),
      },
    }
  }

  function go(place: string, query: { set?: string; step?: string; slot?: string } = {}): Promise<unknown> {
    return router.push(placeTo(place, query))
  }

  function chooseSet(id: string): void {
    void router.replace({ path: route.path, query: { set: id } })
  }

  function chooseStep(id: string): void {
    void router.replace({ path: route.path, query: { ...route.query, step: id, slot: undefined } })
  }

  return { reviewId, sets, set, stepId, placeTo, go, chooseSet, chooseStep }
}
