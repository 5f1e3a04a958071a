import { printFrequencyShort, printMhz } from '../quantity'
import type { CoaxLoss, LossPoint, Part } from './types'

/** A loss, or why there is none. */
export type LossAnswer = { known: true; lossDb: number } | { known: false; why: string }

/**
 * Stated loss of one part at a frequency, dB. A table is interpolated in log f and never extrapolated;
 * outside the part's usable range there is no answer, only the reason.
 */
export function partLossAt(part: Part, frequencyHz: number): LossAnswer {
  if (part.fromHz !== null && frequencyHz < part.fromHz)
    return { known: false, why: `${part.name} is usable from ${printFrequencyShort(part.fromHz)}.` }
  if (part.toHz !== null && frequencyHz > part.toHz)
    return { known: false, why: `${part.name} is usable to ${printFrequencyShort(part.toHz)}.` }
  if (part.loss.kind === 'coax') return { known: true, lossDb: coaxLossDb(part.loss, frequencyHz) }
  if (part.loss.kind === 'figure') return { known: true, lossDb: part.loss.lossDb }
  const { below, above, first, last } = neighbours(part.loss.points, frequencyHz)
  if (!first || !last) return { known: false, why: `${part.name} has an empty loss table.` }
  if (!below || !above)
    return {
      known: false,
      why:
        `The loss table of ${part.name} runs from ${printFrequencyShort(first.frequencyHz)} to ` +
        `${printFrequencyShort(last.frequencyHz)}, and ${printMhz(frequencyHz)} lies outside.`,
    }
  if (above.frequencyHz === below.frequencyHz) return { known: true, lossDb: below.lossDb }
  const way = Math.log(frequencyHz / below.frequencyHz) / Math.log(above.frequencyHz / below.frequencyHz)
  return { known: true, lossDb: below.lossDb + way * (above.lossDb - below.lossDb) }
}

/**
 * Loss of a matched cable, dB: a·√f for the conductors and b·f for the dielectric.
 * @see handbook, section 4; the law is that of every coaxial cable's data sheet (common practice, no source).
 */
export function coaxLossDb(coax: CoaxLoss, frequencyHz: number): number {
  const f = frequencyHz / 100e6
  return (coax.lengthM / 100) * (coax.rootDbPer100M * Math.sqrt(f) + coax.linearDbPer100M * f)
}

interface Neighbours {
  below?: LossPoint
  above?: LossPoint
  first?: LossPoint
  last?: LossPoint
}

/** The points next to a frequency on both sides, and the ends of the table, in whatever order it stands. */
function neighbours(points: readonly LossPoint[], frequencyHz: number): Neighbours {
  const found: Neighbours = {}
  for (const point of points) {
    if (!found.first || point.frequencyHz < found.first.frequencyHz) found.first = point
    if (!found.last || point.frequencyHz > found.last.frequencyHz) found.last = point
    if (point.frequencyHz <= frequencyHz && (!found.below || point.frequencyHz > found.below.frequencyHz))
      found.below = point
    if (point.frequencyHz >= frequencyHz && (!found.above || point.frequencyHz < found.above.frequencyHz))
      found.above = point
  }
  return found
}
