import type { Band } from '../review'
import { nullToneHz } from '../signal'

/** Channel spacing taken where the card does not say, Hz. */
const USUAL_SPACING_HZ = 25_000

/** Channel spacing a band is read with, Hz: the card’s, else 25 kHz. */
export function spacingOf(band: Pick<Band, 'channelSpacingHz'>): number {
  return band.channelSpacingHz ?? USUAL_SPACING_HZ
}

/**
 * Peak deviation the channel spacing is made for, Hz: 2 kHz in 10 (EN 300 433), 2.5 kHz in 12.5, 4 kHz in 20,
 * 5 kHz in 25 kHz (EN 300 086; from memory).
 */
export function fullDeviationHz(band: Pick<Band, 'channelSpacingHz'>): number {
  const spacing = spacingOf(band)
  if (spacing <= 10_000) return 2_000
  if (spacing <= 12_500) return 2_500
  return spacing <= 20_000 ? 4_000 : 5_000
}

/** Tone for the first carrier null at full deviation of a band, Hz. */
export function firstNullToneHz(band: Pick<Band, 'channelSpacingHz'>): number {
  return nullToneHz(fullDeviationHz(band))
}
