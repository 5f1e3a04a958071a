import { type AudioWeighting, SINAD_DEFAULTS, type SinadSettings } from '#core/signal'
import { hearingWeighting, SENSITIVITY_ID, type SensitivityMemo } from '#core/station'

/** How the audio of the open review is weighted, and its change. */
export function useHearingWeighting() {
  const store = useReviewStore()
  const weighting = computed<AudioWeighting>(() =>
    store.context ? hearingWeighting(store.context) : SINAD_DEFAULTS.weighting,
  )
  const settings = computed<SinadSettings>(() => ({ ...SINAD_DEFAULTS, weighting: weighting.value }))
  const deEmphasisUs = computed(() => {
    const { deEmphasisS } = weighting.value
    return deEmphasisS === null ? null : Math.round(deEmphasisS * 1e6)
  })

  function choose(label: string, chosen: Partial<SensitivityMemo>): void {
    const common: SensitivityMemo = {
      filter: weighting.value.filter,
      deEmphasisUs: deEmphasisUs.value,
      ...chosen,
    }
    store.change(label, draft => {
      draft.memos[SENSITIVITY_ID] = { bySet: {}, ...draft.memos[SENSITIVITY_ID], common }
    })
  }

  return { weighting, settings, deEmphasisUs, choose }
}
