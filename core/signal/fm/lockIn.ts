/**
 * Weights of a block for what is picked out of it: 4-term Blackman–Harris, so that strong neighbours stay
 * out.
 */
export function blockWeights(length: number): Float64Array {
  return Float64Array.from({ length }, (_unused, n) => {
    const x = (2 * Math.PI * (n + 0.5)) / length
    return 0.35875 - 0.48829 * Math.cos(x) + 0.14128 * Math.cos(2 * x) - 0.01168 * Math.cos(3 * x)
  })
}

/** Weighted mean of a block. */
export function weightedMean(values: Float64Array, weights: Float64Array): number {
  let sum = 0
  let total = 0
  for (let n = 0; n < values.length; n++) {
    sum += weights[n]! * values[n]!
    total += weights[n]!
  }
  return sum / total
}

/** Amplitude of one frequency in a block, as a cosine and a sine part from the block’s start. */
export function lockIn(
  values: Float64Array,
  weights: Float64Array,
  cyclesPerSample: number,
): { cos: number; sin: number } {
  const step = 2 * Math.PI * cyclesPerSample
  let re = 0
  let im = 0
  let total = 0
  for (let n = 0; n < values.length; n++) {
    const w = weights[n]!
    re += w * values[n]! * Math.cos(step * n)
    im += w * values[n]! * Math.sin(step * n)
    total += w
  }
  return { cos: (2 * re) / total, sin: (2 * im) / total }
}
