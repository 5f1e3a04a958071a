import { PSOPHOMETRIC_POINTS } from './psophometric.table'

/**
 * Psophometric weight at a frequency, dB relative to 800 Hz, interpolated in log frequency between the
 * printed points.
 * @returns −Infinity outside 16.66 Hz to 6 kHz, where the recommendation prints nothing; 0 at 800 Hz, +1.0 at
 *   1 kHz.
 * @see ITU-T O.41 (from memory).
 */
export function psophometricWeightDb(frequencyHz: number): number {
  const above = PSOPHOMETRIC_POINTS.findIndex(([hz]) => hz >= frequencyHz)
  const upper = PSOPHOMETRIC_POINTS[above]
  if (!upper || (above === 0 && upper[0] > frequencyHz)) return -Infinity
  const lower = PSOPHOMETRIC_POINTS[above - 1] ?? upper
  if (upper[0] === frequencyHz || lower === upper) return upper[1]
  const way = Math.log(frequencyHz / lower[0]) / Math.log(upper[0] / lower[0])
  return lower[1] + way * (upper[1] - lower[1])
}
