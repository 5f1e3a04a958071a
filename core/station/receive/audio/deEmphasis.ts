import { audioPowerGain } from '../../../signal'

/** De-emphasis of land mobile FM, 750 µs, and nothing else in front. */
const DE_EMPHASIS = { filter: 'flat', deEmphasisS: 750e-6 } as const

/**
 * De-emphasis of 750 µs against 1 kHz, dB: a first-order low-pass, −6 dB an octave well above 212 Hz. −∞ outside
 * 20 Hz to 20 kHz.
 */
export function deEmphasisDb(hz: number): number {
  return 10 * Math.log10(audioPowerGain(DE_EMPHASIS, hz))
}
