import { psophometricWeightDb } from '../psophometricWeight'

/** Filters through which a received tone and its noise are read. */
export const AUDIO_FILTERS = ['voice', 'psophometric', 'flat'] as const

/** Filter through which a received tone and its noise are read. */
export type AudioFilter = (typeof AUDIO_FILTERS)[number]

/** Filters as words name them. */
export const AUDIO_FILTER_TITLES: Record<AudioFilter, string> = {
  voice: '300 Hz to 3 kHz',
  psophometric: 'psophometric, ITU-T O.41',
  flat: '20 Hz to 20 kHz, no weighting',
}

/** What is put in front of a reading: a filter, and de-emphasis where the radio has none of its own. */
export interface AudioWeighting {
  filter: AudioFilter
  /** Time constant, s: 750e-6 for land mobile FM; null: none. */
  deEmphasisS: number | null
}

/** Ends of a filter, Hz: what lies outside does not count. */
export const AUDIO_BANDS: Record<AudioFilter, { fromHz: number; toHz: number }> = {
  voice: { fromHz: 300, toHz: 3000 },
  psophometric: { fromHz: 16.66, toHz: 6000 },
  flat: { fromHz: 20, toHz: 20_000 },
}

const REFERENCE_HZ = 1000

/**
 * Gain in power at a frequency inside the filter’s band. The voice filter is square; the psophometric one is
 * 0 dB at 800 Hz; de-emphasis is 0 dB at 1 kHz.
 */
export function audioPowerGain({ filter, deEmphasisS }: AudioWeighting, frequencyHz: number): number {
  const { fromHz, toHz } = AUDIO_BANDS[filter]
  if (frequencyHz < fromHz || frequencyHz > toHz) return 0
  const weight = filter === 'psophometric' ? 10 ** (psophometricWeightDb(frequencyHz) / 10) : 1
  if (deEmphasisS === null) return weight
  const fall = (hz: number) => 1 / (1 + (2 * Math.PI * hz * deEmphasisS) ** 2)
  return (weight * fall(frequencyHz)) / fall(REFERENCE_HZ)
}

/** The weighting in words: `300 Hz to 3 kHz, 750 µs de-emphasis`. */
export function weightingWords({ filter, deEmphasisS }: AudioWeighting): string {
  const title = AUDIO_FILTER_TITLES[filter]
  return deEmphasisS === null ? title : `${title}, ${Math.round(deEmphasisS * 1e6)} µs de-emphasis`
}
