import type { Band } from '../review'
import { carsonBandwidthHz } from '../signal'
import { fullDeviationHz } from './deviation/deviationStation'

/**
 * Bandwidth the modulation of a band needs, Hz: Carson’s for FM with 3 kHz audio, 6 kHz for AM, 2.7 kHz for
 * SSB (common practice, no source).
 */
export function necessaryBandwidthHz(band: Band): number {
  if (band.mode === 'FM') return carsonBandwidthHz(fullDeviationHz(band), 3000)
  if (band.mode === 'AM') return 6000
  return 2700
}
