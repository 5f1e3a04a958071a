import type { TracePoints } from '../review'

/** Of points in rising order of frequency, the highest level at each. */
export function highestOfSweeps(points: TracePoints): { points: TracePoints; sweeps: number } {
  const frequencies: number[] = []
  const levels: number[] = []
  let sweeps = 1
  let run = 0
  for (let i = 0; i < points.frequenciesHz.length; i++) {
    const last = frequencies.length - 1
    if (points.frequenciesHz[i] === frequencies[last]) {
      levels[last] = Math.max(levels[last]!, points.levelsDbm[i]!)
      run += 1
    } else {
      frequencies.push(points.frequenciesHz[i]!)
      levels.push(points.levelsDbm[i]!)
      run = 1
    }
    sweeps = Math.max(sweeps, run)
  }
  return {
    points: { frequenciesHz: Float64Array.from(frequencies), levelsDbm: Float64Array.from(levels) },
    sweeps,
  }
}

/** The points in rising order of frequency, and whether they were so already. */
export function inOrder(
  frequenciesHz: Float64Array,
  levelsDbm: Float64Array,
): { points: TracePoints; wasSorted: boolean } {
  let wasSorted = true
  for (let i = 1; i < frequenciesHz.length; i++)
    if (frequenciesHz[i]! < frequenciesHz[i - 1]!) wasSorted = false
  if (wasSorted) return { points: { frequenciesHz, levelsDbm }, wasSorted }
  const order = Uint32Array.from(frequenciesHz.keys()).sort((a, b) => frequenciesHz[a]! - frequenciesHz[b]!)
  return {
    points: {
      frequenciesHz: Float64Array.from(order, i => frequenciesHz[i]!),
      levelsDbm: Float64Array.from(order, i => levelsDbm[i]!),
    },
    wasSorted,
  }
}
