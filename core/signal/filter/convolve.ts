import { halveRate } from './halveRate'

/**
 * Filters a finished stretch; only where the kernel lies wholly inside, so the result is shorter by its
 * length less one.
 */
export function convolveInside(samples: Float64Array, kernel: Float64Array, every = 1): Float64Array {
  const outputs =
    samples.length < kernel.length ? 0 : Math.floor((samples.length - kernel.length) / every) + 1
  const result = new Float64Array(outputs)
  for (let m = 0; m < outputs; m++) {
    let sum = 0
    const from = m * every + kernel.length - 1
    for (let n = 0; n < kernel.length; n++) sum += kernel[n]! * samples[from - n]!
    result[m] = sum
  }
  return result
}

/**
 * The same with a kernel that reads alike from both ends, as every linear-phase low-pass does: half the
 * products; a quarter of them for a half-band filter that halves the rate.
 * @param kernel - an odd number of taps, even about the middle one.
 */
export function convolveEven(samples: Float64Array, kernel: Float64Array, every = 1): Float64Array {
  if (every === 2 && isHalfBand(kernel)) return halveRate(samples, kernel)
  const last = kernel.length - 1
  const half = last / 2
  const outputs =
    samples.length < kernel.length ? 0 : Math.floor((samples.length - kernel.length) / every) + 1
  const result = new Float64Array(outputs)
  // Two outputs at a time share each tap; of an odd number the last is worked out twice.
  for (let m = 0; m < outputs; m += 2) {
    const next = Math.min(m + 1, outputs - 1)
    const from = m * every
    const nextFrom = next * every
    let sum = kernel[half]! * samples[from + half]!
    let nextSum = kernel[half]! * samples[nextFrom + half]!
    for (let n = 0; n < half; n++) {
      const tap = kernel[n]!
      sum += tap * (samples[from + n]! + samples[from + last - n]!)
      nextSum += tap * (samples[nextFrom + n]! + samples[nextFrom + last - n]!)
    }
    result[m] = sum
    result[next] = nextSum
  }
  return result
}

/** A tap smaller than this against the middle one is nought but for rounding. */
const NOUGHT = 1e-15

function isHalfBand(kernel: Float64Array): boolean {
  const half = (kernel.length - 1) / 2
  for (let away = 2; away <= half; away += 2)
    if (Math.abs(kernel[half - away]!) > NOUGHT * kernel[half]!) return false
  return half > 1
}
