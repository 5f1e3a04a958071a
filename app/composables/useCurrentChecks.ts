import type { BenchCheck } from '#core/chain'
import { stationById, stations, type Step } from '#core/station'

/** The bench checks that matter where we stand: of the step in hand on a station, of the worst chain elsewhere. */
export function useCurrentChecks() {
  const route = useRoute()
  const store = useReviewStore()
  const ui = useUiStore()
  const { set, stepId } = useReviewRoute()

  const checks = computed<BenchCheck[]>(() => {
    const context = store.context
    const radio = set.value
    if (!context || !radio) return []
    const here = route.path.split('/').at(-1)
    const station = stations.find(({ id }) => id === here)
    if (!station) return here === 'bench' ? ui.benchChecks : []
    const steps = station.plan(radio, context)
    const step = steps.find(({ id }) => id === stepId.value) ?? firstOpen(steps, context) ?? steps[0]
    return step ? station.checks(step, context) : []
  })

  return { checks }
}

/** The first step with a reading still open; undefined when all are in. */
export function firstOpen(steps: readonly Step[], context: NonNullable<ReturnType<typeof useReviewStore>['context']>): Step | undefined {
  return steps.find((step) => {
    const { progress } = stationById(step.stationId).evaluate(step, context)
    return progress.read < progress.possible
  })
}
