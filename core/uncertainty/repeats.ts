import { CoreError } from '../errors'
import { contribution, type Contribution } from './contribution'

/** Several readings of one thing: their mean, and how well it is known. */
export interface Repeats {
  meanDbm: number
  /** s/√n, dB. */
  standardUncertaintyDb: number
  degreesOfFreedom: number
}

/**
 * Mean of repeated readings in dB, its standard uncertainty s/√n and n − 1 degrees of freedom.
 * @param levelsDbm - two readings or more.
 * @throws CoreError `too-few` for fewer than two.
 * @see JCGM 100:2008, 4.2.3 and the example in 4.4.3.
 */
export function repeats(levelsDbm: readonly number[]): Repeats {
  const n = levelsDbm.length
  if (n < 2)
    throw new CoreError('too-few', 'Repeats need two readings or more.', { name: 'readings', got: n, min: 2 })
  const meanDbm = levelsDbm.reduce((sum, level) => sum + level, 0) / n
  const variance = levelsDbm.reduce((sum, level) => sum + (level - meanDbm) ** 2, 0) / (n - 1)
  return { meanDbm, standardUncertaintyDb: Math.sqrt(variance / n), degreesOfFreedom: n - 1 }
}

/** The scatter of repeated readings as a line of the budget; null where they all agree to the digit. */
export function repeatsContribution(levelsDbm: readonly number[]): Contribution | null {
  const { standardUncertaintyDb, degreesOfFreedom } = repeats(levelsDbm)
  if (standardUncertaintyDb === 0) return null
  return contribution({
    id: 'repeats',
    group: 'repeats',
    label: `Scatter of ${levelsDbm.length} readings`,
    distribution: 'student-t',
    halfWidth: 2 * standardUncertaintyDb,
    degreesOfFreedom,
  })
}
