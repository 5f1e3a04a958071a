import { INSIDE_ID, insideMemo, type InsideMemo } from '#core/station'
import type { StationRun } from '~/composables/useStationRun'

/** The adjustment of the radio in hand: beginning it, aims, ending it, and striking it off. */
export function useInside(run: StationRun) {
  const store = useReviewStore()
  const memo = computed(() =>
    run.set.value && store.context ? insideMemo(run.set.value, store.context) : null,
  )

  function keep(label: string, value: InsideMemo | null): void {
    const setId = run.set.value?.id
    if (!setId) return
    store.change(label, draft => {
      const kept = draft.memos[INSIDE_ID] ?? { common: null, bySet: {} }
      const others = Object.entries(kept.bySet).filter(([id]) => id !== setId)
      const own: [string, unknown][] = value ? [[setId, value]] : []
      draft.memos[INSIDE_ID] = { ...kept, bySet: Object.fromEntries([...others, ...own]) }
    })
  }

  const now = () => new Date().toISOString()
  const begin = (by: string) =>
    keep('an adjustment begun', { by, begunAt: now(), doneAt: null, aimW: null, aimHz: null })
  const change = (label: string, changed: Partial<InsideMemo>) =>
    memo.value && keep(label, { ...memo.value, ...changed })
  const done = () => change('an adjustment done', { doneAt: now() })
  const again = () => change('an adjustment taken up again', { doneAt: null })
  const strike = () => keep('an adjustment struck off', null)

  return { memo, begin, change, done, again, strike }
}
