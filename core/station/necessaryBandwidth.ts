import type { Band } from '../review'
import { carsonBandwidthHz } from '../signal'
import { fullDeviationHz } from './deviation/deviationStation'

/**
 * Bandwidth the modulation of a band needs, Hz: Carson’s for FM with 3 kHz audio, 6 kHz for AM, 2.7 kHz for
 * SSB (common practice, no source).
 */
export function necessaryBandwidthHz(band: Band): number {
  return band.mode === 'FM'
    ? carsonBandwidthHz(fullDeviationHz(band), 3000)
    : band.mode === 'AM'
      ? 6000
      : 2700
}
