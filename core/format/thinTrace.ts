import { CoreError } from '../errors'
import type { TracePoints } from '../review'

/**
 * Thins a trace for drawing: the lowest and highest point of each of `buckets` equal runs of points, in
 * order, so that no peak is lost. Short traces come back whole.
 * @throws CoreError `out-of-range` for less than one bucket.
 */
export function thinTrace(points: TracePoints, buckets: number): TracePoints {
  if (!(buckets >= 1))
    throw new CoreError('out-of-range', `buckets must be at least 1, got ${buckets}.`, {
      name: 'buckets',
      got: buckets,
      min: 1,
      max: Infinity,
    })
  const count = points.frequenciesHz.length
  if (count <= buckets * 2)
    return {
      frequenciesHz: Float64Array.from(points.frequenciesHz),
      levelsDbm: Float64Array.from(points.levelsDbm),
    }
  const frequenciesHz = new Float64Array(buckets * 2)
  const levelsDbm = new Float64Array(buckets * 2)
  for (let bucket = 0; bucket < buckets; bucket++) {
    const from = Math.floor((bucket * count) / buckets)
    const to = Math.floor(((bucket + 1) * count) / buckets)
    let low = from
    let high = from
    for (let i = from; i < to; i++) {
      if (points.levelsDbm[i]! < points.levelsDbm[low]!) low = i
      if (points.levelsDbm[i]! > points.levelsDbm[high]!) high = i
    }
    const [a, b] = low <= high ? [low, high] : [high, low]
    frequenciesHz[2 * bucket] = points.frequenciesHz[a]!
    levelsDbm[2 * bucket] = points.levelsDbm[a]!
    frequenciesHz[2 * bucket + 1] = points.frequenciesHz[b]!
    levelsDbm[2 * bucket + 1] = points.levelsDbm[b]!
  }
  return { frequenciesHz, levelsDbm }
}
