import type { DeviationBuckets } from './deviationMeter'

/** A stretch of a recording, s from its start. */
export interface SecondsStretch {
  fromS: number
  toS: number
}

/** Buckets this far under the power of the strongest third of a second are taken as unkeyed. */
const KEYED_SHARE = 0.25
const STRONGEST_BUCKETS = 30

/** Power from which a bucket counts as keyed. */
export function keyedThreshold(power: Float64Array): number {
  const sorted = Float64Array.from(power).sort()
  const nth = Math.min(STRONGEST_BUCKETS, Math.floor(sorted.length / 4))
  return KEYED_SHARE * (sorted[sorted.length - 1 - nth] ?? 0)
}

/**
 * Keyed buckets whose neighbours are keyed too: the edges of a key-down are left out, and what does not lie in a steady
 * stretch where such are known.
 */
export function keyedBuckets(
  { power, bucketS }: Pick<DeviationBuckets, 'power' | 'bucketS'>,
  threshold: number,
  steady: readonly SecondsStretch[] | null,
): number[] {
  const keyed: number[] = []
  for (let k = 0; k < power.length; k++)
    if (
      isInside(steady, { fromS: k * bucketS, toS: (k + 1) * bucketS }) &&
      power[k]! >= threshold &&
      (power[k - 1] ?? threshold) >= threshold &&
      (power[k + 1] ?? threshold) >= threshold
    )
      keyed.push(k)
  return keyed
}

/** Whether something lies wholly in one of the steady stretches; it does where none are known. */
export function isInside(steady: readonly SecondsStretch[] | null, { fromS, toS }: SecondsStretch): boolean {
  return !steady || steady.some(one => fromS >= one.fromS - SLACK_S && toS <= one.toS + SLACK_S)
}

/** Filters shift what they let through by less than this, s. */
const SLACK_S = 0.02
