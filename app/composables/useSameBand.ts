import type { RadioSet } from '#core/review'
import type { StepResult } from '#core/step'
import type { StationRun } from './useStationRun'

/** What one radio came to on the band of the step in hand. */
export interface OnSameBand {
  set: RadioSet
  result: StepResult
  /** The radio in hand. */
  here: boolean
}

/** Every radio’s step of the same station on the band of the step in hand, the one in hand as it is shown. */
export function useSameBand(run: StationRun, result: () => StepResult) {
  const store = useReviewStore()
  return computed<OnSameBand[]>(() => {
    const context = store.context
    const shown = result()
    if (!context) return []
    return context.review.sets.flatMap((set): OnSameBand[] => {
      if (set.id === shown.step.set.id) return [{ set, result: shown, here: true }]
      const step = run.station.plan(set, context).find(({ band }) => band.name === shown.step.band.name)
      return step ? [{ set, result: run.station.evaluate(step, context), here: false }] : []
    })
  })
}
