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
 * products.
 * @param kernel - an odd number of taps, even about the middle one.
 */
export function convolveEven(samples: Float64Array, kernel: Float64Array, every = 1): Float64Array {
  const last = kernel.length - 1
  const half = last / 2
  const outputs =
    samples.length < kernel.length ? 0 : Math.floor((samples.length - kernel.length) / every) + 1
  const result = new Float64Array(outputs)
  for (let m = 0; m < outputs; m++) {
    const from = m * every
    const to = from + last
    let sum = kernel[half]! * samples[from + half]!
    for (let n = 0; n < half; n++) sum += kernel[n]! * (samples[from + n]! + samples[to - n]!)
    result[m] = sum
  }
  return result
}
