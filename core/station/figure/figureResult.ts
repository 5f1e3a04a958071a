import type { VerdictScale } from '../../decision'
import type { FigureReading, FigureUnit } from '../../review'
import {
  budget,
  contribution,
  type Contribution,
  type ContributionGroup,
  type Distribution,
} from '../../uncertainty'
import type { FigureResult } from '../contract'
import type { StationContext } from '../stationContext'

/** One line of a figure’s budget, in the figure’s own unit. */
export interface OwnContribution {
  id: string
  group: ContributionGroup
  label: string
  distribution: Distribution
  halfWidth: number
  assumed?: boolean
}

/**
 * A figure with its budget: what its instrument leaves open, its last digit, and what its own working out
 * leaves open.
 */
export function figureResult(
  reading: FigureReading,
  of: { own: readonly OwnContribution[]; limit: number | null; value?: number },
  context: StationContext,
): FigureResult {
  // Extremes that noise has pushed out stand in the middle of what noise may have done.
  const value = (of.value ?? reading.value) - reading.noiseAdds / 2
  const scale = scaleOf(reading.unit, of.limit ?? value)
  const perDb = scale?.perDb ?? 1
  const lines: OwnContribution[] = [
    ...of.own,
    ...(reading.resolution > 0
      ? [
          {
            id: 'resolution',
            group: 'resolution' as const,
            label: 'Last digit of the display',
            distribution: 'rectangular' as const,
            halfWidth: reading.resolution / 2,
          },
        ]
      : []),
    ...(reading.standardUncertainty > 0
      ? [
          {
            id: 'estimate',
            group: 'estimate' as const,
            label: 'Working it out from the recording',
            distribution: 'normal' as const,
            halfWidth: 2 * reading.standardUncertainty,
          },
        ]
      : []),
    ...(reading.noiseAdds > 0
      ? [
          {
            id: 'noise',
            group: 'estimate' as const,
            label: 'Noise that may push the extremes out',
            distribution: 'rectangular' as const,
            halfWidth: reading.noiseAdds / 2,
          },
        ]
      : []),
  ]
  const contributions = lines.map(({ halfWidth, ...line }): Contribution =>
    contribution({ ...line, halfWidthDb: halfWidth / perDb }),
  )
  return {
    reading,
    value,
    unit: reading.unit,
    isUpperBound: reading.isUpperBound,
    budget: budget(contributions, context.distributions),
    scale,
  }
}

/** A tenth of the limit counts as one dB; figures in dB count as they are. */
export function scaleOf(unit: FigureUnit, size: number): VerdictScale | null {
  if (unit === 'dB' || unit === 'dBm' || unit === 'mark') return null
  return { unit, perDb: Math.max(Math.abs(size), 1e-9) / 10 }
}
