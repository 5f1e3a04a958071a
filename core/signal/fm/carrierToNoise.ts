/** Below this a discriminator clicks, and a swing is no figure any more, dB (common practice, no source). */
export const FM_THRESHOLD_DB = 10

/** Below this nobody can tell a carrier from the noise, dB. */
export const NO_SIGNAL_BELOW_DB = 0

/**
 * How far a carrier stands above the noise in its channel, dB, from how much the power of the two together flickers:
 * the variance over the square of the mean is (1 + 2ρ)/(1 + ρ)² for a carrier ρ times as strong as the noise, 1 for
 * noise alone.
 * @returns Infinity for a power that does not flicker.
 * @see the moments of S. O. Rice, Bell Syst. Tech. J. 24 (1945) 46 (from memory).
 */
export function carrierToNoiseDb(powerVariance: number): number {
  if (powerVariance <= 0) return Infinity
  if (powerVariance >= 1) return -Infinity
  const onePlus = (1 + Math.sqrt(1 - powerVariance)) / powerVariance
  return 10 * Math.log10(onePlus - 1)
}
