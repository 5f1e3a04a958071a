import { thinTrace, traceAtRadio } from '#core/format'
import type { TraceHead, TracePoints } from '#core/review'
import { harmonicsAt, type Moment } from '#core/station'
import type { StationRun } from '~/composables/useStationRun'

const MOST_DRAWN = 1200

/** The trace the readings of the moment shown came from, else the latest of the step; at the radio’s level. */
export function useStepTrace(run: StationRun, moment: Readonly<Ref<Moment>>) {
  const store = useReviewStore()
  const { step, result } = run

  const head = computed<TraceHead | null>(() => {
    const place = step.value
    const own =
      store.review?.traces.filter(({ setId, stepId }) => setId === place?.set.id && stepId === place?.id) ??
      []
    return own.findLast(({ id }) => used.value.has(id)) ?? own.at(-1) ?? null
  })
  const used = computed(() => {
    if (!result.value || !store.context) return new Set<string>()
    const readings = harmonicsAt(moment.value, result.value, store.context).map(({ reading }) => reading)
    return new Set(
      readings.flatMap(reading => (reading?.source.kind === 'file' ? [reading.source.traceId] : [])),
    )
  })

  const thin = shallowRef<TracePoints | null>(null)
  watch(
    head,
    async now => {
      thin.value = null
      if (!now) return
      const points = await store.tracePoints(now.id)
      if (points && head.value?.id === now.id) thin.value = thinTrace(points, MOST_DRAWN)
    },
    { immediate: true },
  )
  const drawn = computed(() => {
    const chain = store.context?.chain(head.value?.chainId ?? null)
    return thin.value && chain
      ? traceAtRadio(thin.value, chain, store.context?.instrument(chain.instrumentId))
      : null
  })

  return { head, drawn }
}
