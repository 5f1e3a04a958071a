/**
 * Filters a finished stretch by a half-band kernel and takes every second output: with four outputs at a time, each
 * sample is read once for all the taps it meets. Only where the kernel lies wholly inside.
 * @param kernel - an odd number of taps, even about the middle one, every second beside it nought.
 */
export function halveRate(samples: Float64Array, kernel: Float64Array): Float64Array {
  const last = kernel.length - 1
  const half = last / 2
  const middle = kernel[half]!
  const first = (half + 1) % 2
  const taps = kernel.subarray(0, half).filter((_tap, n) => n % 2 === first)
  const outputs = samples.length < kernel.length ? 0 : ((samples.length - kernel.length) >> 1) + 1
  const result = new Float64Array(outputs)
  const whole = outputs - (outputs % 4)
  for (let m = 0; m < whole; m += 4) {
    const from = 2 * m
    let left = from + first
    let right = from + last - first
    let sum0 = middle * samples[from + half]!
    let sum1 = middle * samples[from + half + 2]!
    let sum2 = middle * samples[from + half + 4]!
    let sum3 = middle * samples[from + half + 6]!
    let left0 = samples[left]!
    let left1 = samples[left + 2]!
    let left2 = samples[left + 4]!
    let right1 = samples[right + 2]!
    let right2 = samples[right + 4]!
    let right3 = samples[right + 6]!
    for (let n = 0; n < taps.length; n++, left += 2, right -= 2) {
      const tap = taps[n]!
      const left3 = samples[left + 6]!
      const right0 = samples[right]!
      sum0 += tap * (left0 + right0)
      sum1 += tap * (left1 + right1)
      sum2 += tap * (left2 + right2)
      sum3 += tap * (left3 + right3)
      left0 = left1
      left1 = left2
      left2 = left3
      right3 = right2
      right2 = right1
      right1 = right0
    }
    result[m] = sum0
    result[m + 1] = sum1
    result[m + 2] = sum2
    result[m + 3] = sum3
  }
  for (let m = whole; m < outputs; m++) {
    let sum = middle * samples[2 * m + half]!
    for (let n = first; n < half; n += 2)
      sum += kernel[n]! * (samples[2 * m + n]! + samples[2 * m + last - n]!)
    result[m] = sum
  }
  return result
}
