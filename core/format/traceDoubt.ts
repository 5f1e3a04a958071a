import type { ReadingDoubt } from '../review'
import type { HarmonicPeak } from './tracePeaks'

/**
 * The doubt a peak of a trace carries into its reading; none when the instrument keeps the highest level
 * between points.
 */
export function traceDoubt(
  peak: HarmonicPeak,
  trace: { resolutionBandwidthHz: number | null; keepsHighest: boolean },
): ReadingDoubt | null {
  if (trace.keepsHighest || peak.stepHz === null) return null
  if (peak.coarse || trace.resolutionBandwidthHz === null)
    return { kind: 'coarse-trace', stepHz: peak.stepHz, resolutionBandwidthHz: trace.resolutionBandwidthHz }
  return { kind: 'stepped-trace', stepHz: peak.stepHz, resolutionBandwidthHz: trace.resolutionBandwidthHz }
}
