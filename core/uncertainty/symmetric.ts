import { contribution, type Contribution, type ContributionInput, DIVISOR } from './contribution'

/** What a skewed shape is taken for where its sign is not kept, or where it is small. */
const SYMMETRIC: Partial<Record<Contribution['distribution'], Contribution['distribution']>> = {
  'power-share': 'rectangular',
  'noise-removed': 'rectangular',
  'between-points': 'rectangular',
  'two-ports': 'u-shaped',
  displayed: 'normal',
}

/**
 * An error in the symmetric form of its shape, of the same standard uncertainty times a factor.
 * @param changes - what else is to be said of it.
 */
export function symmetric(
  one: Contribution,
  changes: Partial<Pick<ContributionInput, 'id' | 'label' | 'degreesOfFreedom'>> & { factor?: number },
): Contribution {
  const { factor = 1, ...said } = changes
  const distribution = SYMMETRIC[one.distribution] ?? one.distribution
  return contribution({
    ...one,
    ...said,
    distribution,
    halfWidth: one.standardUncertainty * DIVISOR[distribution] * factor,
    parameter: 0,
    table: undefined,
  })
}
