import type { Band } from '../review'
import type { LimitFound } from '../rules'
import { contribution, type Contribution } from '../uncertainty'

/** How well an antenna’s gain is known where nobody says, ± dB (common practice, no source). */
export const ASSUMED_GAIN_DOUBT_DB = 2

const NONE: readonly Contribution[] = []

/** What the gain of the antenna leaves open where a rule counts radiated power; nothing where it does not. */
export function antennaLines(
  { basis }: Pick<LimitFound, 'basis'>,
  { antennaGainDoubtDb }: Pick<Band, 'antennaGainDoubtDb'>,
): readonly Contribution[] {
  if (basis !== 'erp') return NONE
  return [
    contribution({
      id: 'antenna',
      group: 'antenna',
      label: 'Gain of the antenna',
      distribution: 'rectangular',
      halfWidth: antennaGainDoubtDb ?? ASSUMED_GAIN_DOUBT_DB,
      assumed: antennaGainDoubtDb === null,
    }),
  ]
}
