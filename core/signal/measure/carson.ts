/**
 * Zeros of the Bessel function J0: modulation indices at which the carrier vanishes. @see Abramowitz and
 * Stegun, Table 9.5 (from memory).
 */
export const CARRIER_NULLS: readonly number[] = [2.404826, 5.520078, 8.653728, 11.791534]

/**
 * Carson’s bandwidth 2(Δf + f_m), Hz: about 98 % of the power. @see Carson, “Notes on the theory of
 * modulation”, Proc. IRE 10 (1922) (from memory).
 */
export function carsonBandwidthHz(deviationHz: number, highestAudioHz: number): number {
  return 2 * (deviationHz + highestAudioHz)
}

/** Tone at which the carrier vanishes for a deviation, Hz: 5 kHz at the first null takes 2079.2 Hz. */
export function nullToneHz(deviationHz: number, nullNumber = 1): number {
  return deviationHz / CARRIER_NULLS[nullNumber - 1]!
}

/** Deviation at which a tone makes the carrier vanish, Hz: 1 kHz at the first null is 2404.8 Hz. */
export function deviationAtNullHz(toneHz: number, nullNumber = 1): number {
  return toneHz * CARRIER_NULLS[nullNumber - 1]!
}
