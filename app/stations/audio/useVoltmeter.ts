import { SINAD_DEFAULTS, type SinadSettings } from '#core/signal'
import { AUDIO } from '#core/station'
import type { Step } from '#core/step'

/** Said where volts cannot be told. */
export const NO_FULL_SCALE =
  'Volts need a sound card whose full scale is known. ' +
  'Calibrate it on the bench with a voltage you know, and choose its chain here.'

/** All of the band: what a voltmeter would show. */
export const VOLTMETER_SETTINGS: SinadSettings = {
  ...SINAD_DEFAULTS,
  weighting: { filter: 'flat', deEmphasisS: null },
}

/** Volts rms of a sine at full scale of the sound card a step is read with; null where nobody knows them. */
export function useFullScale(step: () => Step) {
  const store = useReviewStore()
  return computed(() => {
    const chain = store.context?.chain(step().chains[AUDIO] ?? null)
    const instrument = chain && store.context?.instrument(chain.instrumentId)
    return instrument?.kind === 'audio-meter' ? instrument.fullScaleV : null
  })
}
