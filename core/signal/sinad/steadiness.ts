import type { BlockDoubt } from './blockDoubt'
import { neighbourScatter } from './neighbourScatter'

/** A step smaller than this is no jump, dB. */
const LEAST_JUMP_DB = 1

/** A jump stands this many times above what the noise makes. */
const SURE = 6

/** Scatter of a tone that is not steady: relative, and against what the noise makes. */
const LEAST_SCATTER = 0.06
const AGAINST_NOISE = 3

/**
 * Whether a tone kept its level: its amplitude stretch by stretch, against the scatter that the noise makes.
 * @param noise - standard deviation of an amplitude from the noise alone.
 */
export function unsteadiness(amplitudes: Float64Array, stretchS: number, noise: number): BlockDoubt | null {
  if (amplitudes.length < 4) return null
  const jump = jumpIn(amplitudes, Math.max(noise, neighbourScatter(amplitudes)))
  if (jump) return { kind: 'level-jump', atS: jump.index * stretchS, stepDb: jump.stepDb }
  const { mean, scatter } = meanAndScatter(amplitudes)
  const relative = scatter / mean
  return relative > LEAST_SCATTER && scatter > AGAINST_NOISE * noise
    ? { kind: 'unsteady', scatterDb: 20 * Math.log10(1 + relative) }
    : null
}

function jumpIn(values: Float64Array, noise: number): { index: number; stepDb: number } | null {
  let best = { index: 0, stepDb: 0, sureness: 0 }
  for (let k = 2; k <= values.length - 2; k++) {
    const before = meanAndScatter(values.subarray(0, k)).mean
    const after = meanAndScatter(values.subarray(k)).mean
    const sureness = Math.abs(after - before) / (noise * Math.sqrt(1 / k + 1 / (values.length - k)))
    if (sureness > best.sureness) best = { index: k, stepDb: 20 * Math.log10(after / before), sureness }
  }
  return best.sureness > SURE && Math.abs(best.stepDb) > LEAST_JUMP_DB ? best : null
}

function meanAndScatter(values: Float64Array): { mean: number; scatter: number } {
  const mean = values.reduce((sum, one) => sum + one, 0) / values.length
  const squares = values.reduce((sum, one) => sum + (one - mean) ** 2, 0)
  return { mean, scatter: Math.sqrt(squares / Math.max(1, values.length - 1)) }
}
