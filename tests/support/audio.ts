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
  const lines: { weight: number; turn: number }[] = []
  for (let k = 1; k * binHz < Math.min(most, rate / 2); k++) {
    const weight = gain(k * binHz)
    if (weight !== 0) lines.push({ weight, turn: 2 * Math.cos((2 * Math.PI * k) / samples.length) })
  }
  // Four lines at a time: each waits for its own last step, and the processor works at the others meanwhile.
  let total = 0
  const powers = new Float64Array(4)
  for (let i = 0; i < lines.length; i += 4) {
    const four = lines.slice(i, i + 4)
    fourPowers(
      samples,
      Float64Array.from({ length: 4 }, (_unused, j) => four[j]?.turn ?? 0),
      powers,
    )
    four.forEach(({ weight }, j) => (total += (2 * weight * powers[j]!) / samples.length ** 2))
  }
  return total
}

/** Powers of four lines. What is carried on begins as −0: begun as 0, such a loop was slower than line by line. */
function fourPowers(samples: Float64Array, turns: Float64Array, into: Float64Array): void {
  const [a, b, c, d] = [turns[0]!, turns[1]!, turns[2]!, turns[3]!]
  let beforeA = -0
  let lastA = -0
  let beforeB = -0
  let lastB = -0
  let beforeC = -0
  let lastC = -0
  let beforeD = -0
  let lastD = -0
  for (let n = 0; n < samples.length; n++) {
    const sample = samples[n]!
    const nextA = sample + a * lastA - beforeA
    beforeA = lastA
    lastA = nextA
    const nextB = sample + b * lastB - beforeB
    beforeB = lastB
    lastB = nextB
    const nextC = sample + c * lastC - beforeC
    beforeC = lastC
    lastC = nextC
    const nextD = sample + d * lastD - beforeD
    beforeD = lastD
    lastD = nextD
  }
  into[0] = lastA * lastA + beforeA * beforeA - a * lastA * beforeA
  into[1] = lastB * lastB + beforeB * beforeB - b * lastB * beforeB
  into[2] = lastC * lastC + beforeC * beforeC - c * lastC * beforeC
  into[3] = lastD * lastD + beforeD * beforeD - d * lastD * beforeD
}

export const voiceBand = (hz: number) => (hz >= 300 && hz <= 3000 ? 1 : 0)
