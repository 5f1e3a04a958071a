/** Even numbers from 0 to 1 that come out the same every time (mulberry32, common practice, no source). */
export function evenNumbers(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

/** Gaussian noise of an rms, by Box and Muller. */
export function gaussian(count: number, rms: number, seed: number): Float64Array {
  const even = evenNumbers(seed)
  return Float64Array.from(
    { length: count },
    () => rms * Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even()),
  )
}

export interface Sine {
  hz: number
  amplitude: number
  phase?: number
}

/** A sum of sines. */
export function sines(count: number, rate: number, parts: readonly Sine[]): Float64Array {
  return Float64Array.from({ length: count }, (_unused, n) =>
    parts.reduce(
      (sum, { hz, amplitude, phase = 0.3 }) =>
        sum + amplitude * Math.cos((2 * Math.PI * hz * n) / rate + phase),
      0,
    ),
  )
}

export const added = (...all: Float64Array[]) =>
  all[0]!.map((_value, n) => all.reduce((sum, one) => sum + one[n]!, 0))

/**
 * Power of a signal through a gain over frequency, by the plain definition of the discrete Fourier transform,
 * line by line (Goertzel’s recurrence): no window, no averaging, nothing shared with the product.
 */
export function powerThrough(
  samples: Float64Array,
  rate: number,
  gain: (hz: number) => number,
  most = rate / 2,
): number {
  const binHz = rate / samples.length
  let total = 0
  for (let k = 1; k * binHz < Math.min(most, rate / 2); k++) {
    const weight = gain(k * binHz)
    if (weight === 0) continue
    const turn = 2 * Math.cos((2 * Math.PI * k) / samples.length)
    let before = 0
    let last = 0
    for (let n = 0; n < samples.length; n++) {
      const next = samples[n]! + turn * last - before
      before = last
      last = next
    }
    const power = last * last + before * before - turn * last * before
    total += (2 * weight * power) / samples.length ** 2
  }
  return total
}

export const voiceBand = (hz: number) => (hz >= 300 && hz <= 3000 ? 1 : 0)
