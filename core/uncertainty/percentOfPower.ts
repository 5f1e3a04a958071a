import { assertInRange, assertPositive } from '../errors'
import { type Contribution, contribution } from './contribution'

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

/** Up to this share of the reading the first order is good to 0.02 dB, and rectangular in dB will do. */
const FIRST_ORDER_UP_TO = 0.03

/**
 * A power meter's accuracy as a line of the budget: rectangular in power, hence skewed in dB where it is a
 * large share of the reading.
 * @throws CoreError.
 */
export function powerShareContribution(
  line: { id: string; label: string; assumed?: boolean },
  percent: number,
  powers: { scaleW: number; readingW: number },
): Contribution {
  const halfWidthDb = percentAsDb(percent, powers)
  const share = halfWidthDb / DB_PER_UNIT_POWER
  const exact = share > FIRST_ORDER_UP_TO
  return contribution({
    ...line,
    group: 'instrument',
    distribution: exact ? 'power-share' : 'rectangular',
    halfWidth: halfWidthDb,
    parameter: exact ? share : 0,
  })
}
