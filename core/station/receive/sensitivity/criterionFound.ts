import type { AudioMeter } from '../../../chain'
import type { Context } from '../../../context'
import type { CriterionLevel } from '../../../hearing'
import type { Found } from '../../../step'
import { budget, contribution, type Contribution } from '../../../uncertainty'
import type { ReadPoint } from './points'

/** What reading the curve leaves open, as a line of the budget. */
export const CURVE_LINE = 'curve'

/**
 * The level of a mark with its budget: what the generator, the path and its reflections leave open where the
 * nearest point was read, what reading the curve leaves open, and what the audio meter shows wrong.
 */
export function criterionFound(level: CriterionLevel, points: readonly ReadPoint[], context: Context): Found {
  const nearest = nearestPoint(points, level.levelDbm)
  const { budget: ofPath, path, notes } = nearest.found
  const lines = [
    // What a generator is set to is known: its last digit is no doubt of a reading between two settings.
    ...ofPath.contributions.filter(({ group }) => group !== 'resolution'),
    contribution({
      id: CURVE_LINE,
      group: 'curve',
      label: 'Reading the curve',
      distribution: 'normal',
      halfWidth: 2 * level.standardUncertaintyDb,
    }),
    ...audioLine(nearest, level, context),
  ]
  return {
    value: level.levelDbm,
    unit: 'dBm',
    budget: budget(lines, context.distributions),
    isUpperBound: false,
    path: { atInstrumentDbm: level.levelDbm + path.lossDb, lossDb: path.lossDb, signal: 'to-radio' },
    notes,
  }
}

/** Half of the 95 % range everything but the curve leaves open, dB. */
export function othersDb(found: Found, context: Context): number {
  const others = found.budget.contributions.filter(({ id }) => id !== CURVE_LINE)
  return budget(others, context.distributions).range
}

function nearestPoint(points: readonly ReadPoint[], levelDbm: number): ReadPoint {
  return points.reduce((a, b) => (Math.abs(b.levelDbm - levelDbm) < Math.abs(a.levelDbm - levelDbm) ? b : a))
}

/** What the audio meter shows wrong, turned into level by the slope of the curve. */
function audioLine({ reading }: ReadPoint, { slope }: CriterionLevel, context: Context): Contribution[] {
  const instrument = context.instrument(reading.instrumentId)
  if (instrument?.kind !== 'audio-meter' || instrument.sinadDb === 0) return []
  const meter: AudioMeter = instrument
  return [
    contribution({
      id: `audio:${meter.id}`,
      group: 'instrument',
      label: `${meter.name}, SINAD`,
      distribution: 'rectangular',
      halfWidth: meter.sinadDb / Math.max(0.5, slope),
      assumed: meter.assumed,
    }),
  ]
}
