import type { Context } from '../context'
import { differenceUnit, type FigureUnit } from '../quantity'
import type { FigureReading } from '../review'
import {
  budget,
  contribution,
  type Contribution,
  type ContributionGroup,
  type Distribution,
} from '../uncertainty'
import type { Found } from '../step'

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
 * A figure with its budget, in its own unit: what its instrument leaves open, its last digit, and what its
 * own working out leaves open.
 * @param given.value - the figure that is judged where it is not the one read: an error instead of a frequency.
 */
export function foundFigure(
  { seen }: FigureReading,
  given: { own: readonly OwnContribution[]; value?: number },
  context: Context,
): Found {
  const contributions = [...given.own, ...seenLines(seen)].map((line): Contribution => contribution(line))
  return {
    // Extremes that noise has pushed out stand in the middle of what noise may have done.
    value: (given.value ?? seen.value) - seen.noiseAdds / 2,
    unit: seen.unit,
    isUpperBound: seen.isUpperBound,
    budget: budget(contributions, context.distributions, differenceUnit(seen.unit)),
    path: null,
    notes: [],
  }
}

/** A figure that was worked out from others, with what they leave open of it, in its own unit. */
export function workedOutFigure(
  { value, unit, own }: { value: number; unit: FigureUnit; own: readonly OwnContribution[] },
  context: Context,
): Found {
  const contributions = own.filter(({ halfWidth }) => halfWidth > 0).map(line => contribution(line))
  return {
    value,
    unit,
    isUpperBound: false,
    budget: budget(contributions, context.distributions, differenceUnit(unit)),
    path: null,
    notes: [],
  }
}

/** What the figure itself leaves open: its last digit, its estimate, noise in its extremes. */
function seenLines({ resolution, standardUncertainty, noiseAdds }: FigureReading['seen']): OwnContribution[] {
  const lines: OwnContribution[] = [
    {
      id: 'resolution',
      group: 'resolution',
      label: 'Last digit of the display',
      distribution: 'rectangular',
      halfWidth: resolution / 2,
    },
    {
      id: 'estimate',
      group: 'estimate',
      label: 'Working it out from the recording',
      distribution: 'normal',
      halfWidth: 2 * standardUncertainty,
    },
    {
      id: 'noise',
      group: 'estimate',
      label: 'Noise and the receiver, which can only add',
      distribution: 'rectangular',
      halfWidth: noiseAdds / 2,
    },
  ]
  return lines.filter(({ halfWidth }) => halfWidth > 0)
}
