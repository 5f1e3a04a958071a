import type { Context } from '#core/context'
import type { Review } from '#core/review'
import { stationById } from '#core/station'
import { bareUnitOf, chainIdOf, type Kept, type Step } from '#core/step'
import { firstOpen } from './useCurrentChecks'
import { useDraftedReading } from './useDraftedReading'

/** One station of one radio: its steps, the step in hand, what it came to, and keeping readings. */
export function useStationRun(stationId: string) {
  const store = useReviewStore()
  const { set, stepId, chooseStep } = useReviewRoute()
  const station = stationById(stationId)

  const steps = computed(() => (store.context && set.value ? station.plan(set.value, store.context) : []))
  const step = computed(() => steps.value.find(({ id }) => id === stepId.value) ?? null)
  const stepIndex = computed(() => steps.value.findIndex(({ id }) => id === step.value?.id))

  watchEffect(() => {
    const context = store.context
    if (!context || step.value || steps.value.length === 0) return
    chooseStep((firstOpen(steps.value, context) ?? steps.value[0]!).id)
  })

  const { draft, showDraft, shownContext, readingOf } = useDraftedReading(step)
  const result = computed(() =>
    step.value && shownContext.value ? station.evaluate(step.value, shownContext.value) : null,
  )
  const coaching = computed(() =>
    step.value && store.context ? (station.coach?.(step.value, store.context) ?? null) : null,
  )
  const checks = computed(() =>
    step.value && store.context ? station.checks(step.value, store.context) : [],
  )
  const unsafe = computed(() => checks.value.some(({ severity }) => severity === 'danger'))
  const bareUnit = computed(() => (step.value && store.context ? bareUnitOf(step.value, store.context) : 'W'))
  const instrument = computed(() => {
    const chain = store.context?.chain(step.value ? chainIdOf(step.value) : null)
    return chain && store.context?.instrument(chain.instrumentId)
  })

  /** Keeps readings of the step in hand as one undoable change. */
  function keep(kept: readonly Kept[], label: string, alongside?: (draft: Review) => void): boolean {
    const place = step.value
    if (!place) return false
    const readings = kept.flatMap(one => readingOf(place, one, crypto.randomUUID()) ?? [])
    draft.value = null
    return store.change(label, review => alongside?.(review), readings)
  }

  function toStep(offset: number): void {
    const next = steps.value[stepIndex.value + offset]
    if (next) chooseStep(next.id)
  }

  function toNextOpen(): boolean {
    const next = store.context && openAfter(steps.value, stepIndex.value, store.context)
    if (!next || next.id === step.value?.id) return false
    chooseStep(next.id)
    return true
  }

  return {
    ...{ stationId, station, set, steps, step, stepIndex },
    ...{ draft, showDraft, shownContext, result, coaching },
    ...{ checks, unsafe, bareUnit, instrument },
    ...{ keep, toStep, toNextOpen, chooseStep },
  }
}

/** The first open step after a place, else the first of all. */
function openAfter(steps: readonly Step[], index: number, context: Context): Step | undefined {
  return firstOpen(steps.slice(index + 1), context) ?? firstOpen(steps, context)
}

export type StationRun = ReturnType<typeof useStationRun>
