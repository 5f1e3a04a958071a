import type { Step } from '#core/step'
import type { CurveHead, CurveKind, CurvePoints } from '#core/review'

/** The latest kept curve of a kind that belongs to a step, with its points. */
export function useStepCurve(step: Readonly<Ref<Step | null>>, kind: CurveKind) {
  const store = useReviewStore()
  const head = computed<CurveHead | null>(
    () =>
      store.review?.curves
        .filter(one => one.kind === kind && one.setId === step.value?.set.id && one.stepId === step.value?.id)
        .at(-1) ?? null,
  )
  const points = shallowRef<CurvePoints | null>(null)
  watch(
    head,
    async now => {
      points.value = null
      const found = now && (await store.curvePoints(now.id))
      if (head.value?.id === now?.id) points.value = found ?? null
    },
    { immediate: true },
  )
  return { head, points }
}
