import type { DeviationSums } from './deviationMeter'
import { keyedThreshold } from './keyedBuckets'

/**
 * Deviation over time for drawing: every point a moment with its extremes, gaps where the radio was not
 * keyed.
 */
export interface DeviationCurve {
  atS: Float64Array
  highestHz: Float64Array
  lowestHz: Float64Array
  meanHz: Float64Array
}

/** Deviation over time in at most `points` moments. */
export function deviationCurve(sums: DeviationSums, points: number): DeviationCurve {
  const { buckets } = sums
  const threshold = keyedThreshold(buckets.power)
  const count = Math.min(points, buckets.power.length)
  const curve: DeviationCurve = {
    atS: new Float64Array(count),
    highestHz: new Float64Array(count).fill(Number.NaN),
    lowestHz: new Float64Array(count).fill(Number.NaN),
    meanHz: new Float64Array(count).fill(Number.NaN),
  }
  for (let i = 0; i < count; i++) {
    const from = Math.floor((i * buckets.power.length) / count)
    const to = Math.floor(((i + 1) * buckets.power.length) / count)
    curve.atS[i] = ((from + to) / 2) * buckets.bucketS
    let sum = 0
    let seen = 0
    for (let k = from; k < to; k++) {
      if (buckets.power[k]! < threshold) continue
      curve.highestHz[i] =
        seen === 0 ? buckets.highestHz[k]! : Math.max(curve.highestHz[i]!, buckets.highestHz[k]!)
      curve.lowestHz[i] =
        seen === 0 ? buckets.lowestHz[k]! : Math.min(curve.lowestHz[i]!, buckets.lowestHz[k]!)
      sum += buckets.meanHz[k]!
      seen += 1
    }
    if (seen > 0) curve.meanHz[i] = sum / seen
  }
  return curve
}
