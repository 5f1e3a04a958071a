import type { Band } from '../review'
import { carsonBandwidthHz } from '../signal'
import { fullDeviationHz } from './deviation'

/** Highest audio frequency of a voice channel, Hz. */
const VOICE_HZ = 3000

/**
 * Bandwidth the modulation of a band needs, Hz: Carson’s for FM with 3 kHz audio, 6 kHz for AM, 2.7 kHz for
 * SSB (common practice, no source).
 */
export function necessaryBandwidthHz(band: Pick<Band, 'mode' | 'channelSpacingHz'>): number {
  if (band.mode === 'FM') return carsonBandwidthHz(fullDeviationHz(band), VOICE_HZ)
  return band.mode === 'AM' ? 2 * VOICE_HZ : 2700
}
