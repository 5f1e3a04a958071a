import type { Step } from '#core/step'
import type { BenchCheck } from '#core/chain'
import { stationById, stations } from '#core/station'

/**
 * The bench checks that matter where we stand: of the step in hand on a station, of the worst chain
 * elsewhere.
 */
export function useCurrentChecks() {
  const route = useRoute()
  const store = useReviewStore()
  const ui = useUiStore()
  const { set, stepId } = useReviewRoute()

  const here = computed(() => route.path.split('/').at(-1))
  const station = computed(() => stations.find(({ id }) => id === here.value) ?? null)

  /** The step in hand; null away from the stations. */
  const step = computed<Step | null>(() => {
    const context = store.context
    if (!context || !set.value || !station.value) return null
    const steps = station.value.plan(set.value, context)
    return steps.find(({ id }) => id === stepId.value) ?? firstOpen(steps, context) ?? steps[0] ?? null
  })

  const checks = computed<BenchCheck[]>(() => {
    if (!store.context || !set.value) return []
    if (!station.value) return here.value === 'bench' ? ui.benchChecks : []
    return step.value ? station.value.checks(step.value, store.context) : []
  })

  return { checks, step }
}

/** The first step with a reading still open; undefined when all are in. */
export function firstOpen(
  steps: readonly Step[],
  context: NonNullable<ReturnType<typeof useReviewStore>['context']>,
): Step | undefined {
  return steps.find(step => {
    const { progress } = stationById(step.stationId).evaluate(step, context)
    return progress.read < progress.possible
  })
}
