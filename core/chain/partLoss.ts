import { printFrequencyShort, printMhz } from '../quantity'
import type { Part } from './types'

/** A loss, or why there is none. */
export type LossAnswer = { known: true; lossDb: number } | { known: false; why: string }

/**
 * Loss of one part at a frequency, dB. A table is interpolated in log f and never extrapolated;
 * outside the part's usable range there is no answer, only the reason.
 */
export function partLossAt(part: Part, frequencyHz: number): LossAnswer {
  if (part.fromHz !== null && frequencyHz < part.fromHz)
    return { known: false, why: `${part.name} is usable from ${printFrequencyShort(part.fromHz)}.` }
  if (part.toHz !== null && frequencyHz > part.toHz)
    return { known: false, why: `${part.name} is usable to ${printFrequencyShort(part.toHz)}.` }
  if (part.loss.kind === 'figure') return { known: true, lossDb: part.loss.lossDb }
  const points = [...part.loss.points].sort((a, b) => a.frequencyHz - b.frequencyHz)
  const first = points[0]
  const last = points[points.length - 1]
  if (!first || !last) return { known: false, why: `${part.name} has an empty loss table.` }
  if (frequencyHz < first.frequencyHz || frequencyHz > last.frequencyHz)
    return { known: false, why: `The loss table of ${part.name} runs from ${printFrequencyShort(first.frequencyHz)} to ${printFrequencyShort(last.frequencyHz)}, and ${printMhz(frequencyHz)} lies outside.` }
  const upper = points.findIndex(point => point.frequencyHz >= frequencyHz)
  const high = points[upper] ?? last
  const low = points[upper - 1]
  if (!low || high.frequencyHz === frequencyHz) return { known: true, lossDb: high.lossDb }
  const way = Math.log(frequencyHz / low.frequencyHz) / Math.log(high.frequencyHz / low.frequencyHz)
  return { known: true, lossDb: low.lossDb + way * (high.lossDb - low.lossDb) }
}
