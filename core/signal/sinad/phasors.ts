/** The part of a signal at one frequency, stretch by stretch, as rotating against that frequency. */
export interface Phasors {
  /** Amplitude times cosine and sine of the phase at the middle of each stretch. */
  re: Float64Array
  im: Float64Array
}

/** Steps after which a rotation is set right again: rounding does not add up. */
const RESET = 512

/** Splits a block into stretches and takes the part at one frequency out of each; a rest is left out. */
export function phasorsOf(samples: ArrayLike<number>, cyclesPerSample: number, stretch: number): Phasors {
  const count = Math.floor(samples.length / stretch)
  const re = new Float64Array(count)
  const im = new Float64Array(count)
  for (let k = 0; k < count; k++) {
    let sumRe = 0
    let sumIm = 0
    rotate(cyclesPerSample, { from: k * stretch, to: (k + 1) * stretch }, (n, cos, sin) => {
      sumRe += samples[n]! * cos
      sumIm -= samples[n]! * sin
    })
    re[k] = (2 * sumRe) / stretch
    im[k] = (2 * sumIm) / stretch
  }
  return { re, im }
}

/** Cosine and sine of a frequency for every sample of a range, by rotation. */
export function rotate(
  cyclesPerSample: number,
  { from, to }: { from: number; to: number },
  take: (n: number, cos: number, sin: number) => void,
): void {
  const step = 2 * Math.PI * cyclesPerSample
  const stepCos = Math.cos(step)
  const stepSin = Math.sin(step)
  for (let start = from; start < to; start += RESET) {
    let cos = Math.cos(step * start)
    let sin = Math.sin(step * start)
    const end = Math.min(to, start + RESET)
    for (let n = start; n < end; n++) {
      take(n, cos, sin)
      const next = cos * stepCos - sin * stepSin
      sin = sin * stepCos + cos * stepSin
      cos = next
    }
  }
}
