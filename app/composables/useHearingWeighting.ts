import { type AudioWeighting, SINAD_DEFAULTS, type SinadSettings } from '#core/signal'
import { hearingWeighting, SENSITIVITY_ID, type SensitivityMemo } from '#core/station'

/** How the audio of the open review is weighted, and its change. */
export function useHearingWeighting() {
  const store = useReviewStore()
  const chosen = computed(() => (store.context ? hearingWeighting(store.context) : SINAD_DEFAULTS.weighting))
  const filter = computed(() => chosen.value.filter)
  const deEmphasisS = computed(() => chosen.value.deEmphasisS)
  /** The very same object until one of the two is another: whoever listens begins anew with every new one. */
  const weighting = computed<AudioWeighting>(() => ({
    filter: filter.value,
    deEmphasisS: deEmphasisS.value,
  }))
  const settings = computed<SinadSettings>(() => ({ ...SINAD_DEFAULTS, weighting: weighting.value }))
  const deEmphasisUs = computed(() =>
    deEmphasisS.value === null ? null : Math.round(deEmphasisS.value * 1e6),
  )

  function choose(label: string, change: Partial<SensitivityMemo>): void {
    const common = { filter: filter.value, deEmphasisUs: deEmphasisUs.value, ...change }
    store.change(label, draft => {
      draft.memos[SENSITIVITY_ID] = { bySet: {}, ...draft.memos[SENSITIVITY_ID], common }
    })
  }

  return { weighting, settings, deEmphasisUs, choose }
}
