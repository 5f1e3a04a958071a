import { keyedThreshold } from '../fm/keyedBuckets'

/** When a recording was keyed, in samples from its start. */
export interface KeyedTimes {
  /** Stretches in which the carrier stands, the time after each key-down and before each release left out. */
  steady: Stretch[]
  /** What was left out around each key-down and release that lies inside the recording. */
  edges: Stretch[]
  /** Power below this is not keyed, of full scale. */
  thresholdPower: number
}

/** From one sample up to another. */
export interface Stretch {
  from: number
  to: number
}

/** Time around a key-down and a release in which a radio settles, s (common practice, no source). */
const SETTLES_S = 0.1

/** Less steady time than this is no stretch, s. */
const LEAST_STEADY_S = 0.1

/**
 * When the recording was keyed, from its power over time. A recording that has one level throughout, or in which what
 * comes and goes is no carrier but a voice on SSB, has one steady stretch and no edges.
 */
export function keyedTimes(
  { power, bucketSamples }: { power: Float64Array; bucketSamples: number },
  { sampleCount, sampleRateHz }: { sampleCount: number; sampleRateHz: number },
): KeyedTimes {
  const thresholdPower = keyedThreshold(power)
  const settles = Math.ceil((SETTLES_S * sampleRateHz) / bucketSamples)
  const whole: KeyedTimes = { steady: [{ from: 0, to: sampleCount }], edges: [], thresholdPower }
  const steady: Stretch[] = []
  const edges: Stretch[] = []
  for (const { from, to } of runs(power, thresholdPower)) {
    const first = from === 0 ? 0 : from + settles
    const last = to === power.length ? to : to - settles
    const at = (bucket: number) => Math.min(sampleCount, bucket * bucketSamples)
    if (at(last) - at(first) < LEAST_STEADY_S * sampleRateHz) continue
    steady.push({ from: at(first), to: at(last) })
    if (from > 0) edges.push({ from: at(Math.max(0, from - settles)), to: at(first) })
    if (to < power.length) edges.push({ from: at(last), to: at(Math.min(power.length, to + settles)) })
  }
  const inSteady = steady.flatMap(({ from, to }) => [
    ...power.slice(from / bucketSamples, to / bucketSamples),
  ])
  return unsteadiness(inSteady) > MOST_UNSTEADY ? whole : { steady, edges, thresholdPower }
}

/** Voice on SSB swings by more, a carrier with AM by less: rms of the power of buckets over their mean. */
const MOST_UNSTEADY = 0.3

/** Infinity for nothing at all. */
function unsteadiness(power: readonly number[]): number {
  const mean = power.reduce((sum, one) => sum + one, 0) / power.length
  const variance = power.reduce((sum, one) => sum + (one - mean) ** 2, 0) / power.length
  return mean > 0 ? Math.sqrt(variance) / mean : Infinity
}

/** Runs of buckets at or above a power. */
function runs(power: Float64Array, least: number): Stretch[] {
  const found: Stretch[] = []
  let from: number | null = null
  for (let k = 0; k <= power.length; k++) {
    const isKeyed = k < power.length && power[k]! >= least
    if (isKeyed && from === null) from = k
    if (!isKeyed && from !== null) {
      found.push({ from, to: k })
      from = null
    }
  }
  return found
}
