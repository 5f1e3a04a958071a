import { STRESS_ID, stressConsent, type StressConsent } from '#core/station'
import type { StationRun } from '~/composables/useStationRun'

/** The owner’s consent for the radio in hand: on record or not, recording and withdrawing it. */
export function useConsent(run: StationRun) {
  const store = useReviewStore()
  const consent = computed(() =>
    run.set.value && store.context ? stressConsent(run.set.value, store.context) : null,
  )

  function keep(label: string, value: StressConsent | null): void {
    const setId = run.set.value?.id
    if (!setId) return
    store.change(label, draft => {
      const memo = draft.memos[STRESS_ID] ?? { common: null, bySet: {} }
      const others = Object.entries(memo.bySet).filter(([id]) => id !== setId)
      const own: [string, unknown][] = value ? [[setId, value]] : []
      draft.memos[STRESS_ID] = { ...memo, bySet: Object.fromEntries([...others, ...own]) }
    })
  }

  const record = (by: string) => keep('the owner’s consent', { by, at: new Date().toISOString() })
  const withdraw = () => keep('the owner’s consent withdrawn', null)

  return { consent, record, withdraw }
}
