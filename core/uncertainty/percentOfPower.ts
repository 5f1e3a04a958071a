import { assertInRange, assertPositive } from '../errors'

/** 10/ln 10 = 4.343: dB per unit of relative power, to first order. */
export const DB_PER_UNIT_POWER = 10 / Math.LN10

/**
 * Half-width in dB of a power meter's accuracy, first order: 4.343·p/100, times full scale over
 * reading when the percentage is of full scale.
 * @param percent - ±p, 0 to 1000.
 * @param scaleW - what the percentage is of: the reading itself, or full scale.
 * @param readingW - power at the meter.
 * @throws CoreError.
 */
export function percentAsDb(percent: number, powers: { scaleW: number; readingW: number }): number {
  assertInRange('Accuracy in percent', percent, 0, 1000)
  assertPositive('Scale in W', powers.scaleW)
  assertPositive('Reading in W', powers.readingW)
  return (DB_PER_UNIT_POWER * percent * powers.scaleW) / (100 * powers.readingW)
}
