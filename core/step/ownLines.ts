import { printDb } from '../quantity'
import type { SeenLevel } from '../review'
import {
  BETWEEN_POINTS_MEAN,
  contribution,
  type Contribution,
  repeatsContribution,
  steppedTraceLossDb,
} from '../uncertainty'
import { NO_LINES } from './withoutNoise'

/** The lines there are of what a reading adds of its own: mostly none. */
export function linesOf(...lines: (Contribution | null)[]): readonly Contribution[] {
  return lines.some(one => one !== null) ? lines.filter(one => one !== null) : NO_LINES
}

/** What several looks at a level leave open; null for one. */
export function scatterOf(seen: SeenLevel, notes: string[]): Contribution | null {
  if (seen.repeatsDbm.length < 2) return null
  notes.push(`Mean of ${seen.repeatsDbm.length} readings.`)
  return repeatsContribution(seen.repeatsDbm)
}

/**
 * A peak of a stepped trace stands between two points: what it reads low on average is added, the rest is
 * left open.
 */
export function betweenPoints({ doubt }: SeenLevel, notes: string[]): Contribution | null {
  if (doubt?.kind !== 'stepped-trace') return null
  const halfWidthDb = steppedTraceLossDb(doubt.stepHz, doubt.resolutionBandwidthHz)
  if (halfWidthDb > 0.05)
    notes.push(
      `A peak between two points of the trace reads up to ${printDb(halfWidthDb, 2)} low; ` +
        `the mean of that, ${printDb(halfWidthDb * BETWEEN_POINTS_MEAN, 2)}, is added.`,
    )
  return contribution({
    id: 'steps',
    group: 'steps',
    label: 'Between the trace’s points',
    distribution: 'between-points',
    halfWidth: halfWidthDb,
  })
}

/**
 * Range over standard deviation of so many normal values, by their number.
 * @see the factor d2 of control charts, ISO 7870-2 (from memory).
 */
const RANGE_OVER_DEVIATION = [0, 0, 1.128, 1.693, 2.059, 2.326, 2.534, 2.704, 2.847, 2.97, 3.078]

/** What several levels at one frequency of a trace leave open: the highest was read, their middle is meant. */
export function sweepsApart({ sweeps }: SeenLevel, notes: string[]): Contribution | null {
  if (!sweeps || sweeps.spreadDb === 0) return null
  notes.push(
    `The trace says ${sweeps.levels} different things of this frequency, ` +
      `${printDb(sweeps.spreadDb)} apart: the middle of them is taken, and the rest is left open.`,
  )
  const known = RANGE_OVER_DEVIATION.length - 1
  const deviationDb = sweeps.spreadDb / RANGE_OVER_DEVIATION[Math.min(sweeps.levels, known)]!
  const standardDb = deviationDb / Math.sqrt(Math.min(sweeps.levels, known))
  return contribution({
    id: 'sweeps',
    group: 'sweeps',
    label: 'The trace contradicts itself',
    distribution: 'student-t',
    halfWidth: 2 * standardDb,
    degreesOfFreedom: Math.min(sweeps.levels, known) - 1,
  })
}
