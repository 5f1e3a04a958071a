/** The part of a signal at one frequency, stretch by stretch, as rotating against that frequency. */
export interface Phasors {
  /** Amplitude times cosine and sine of the phase at the middle of each stretch. */
  re: Float64Array
  im: Float64Array
}

/** Steps after which a rotation is set right again: rounding does not add up. */
export const RESET = 512

/** Splits a block into stretches and takes the part at one frequency out of each; a rest is left out. */
export function phasorsOf(samples: Float64Array, cyclesPerSample: number, stretch: number): Phasors {
  const count = Math.floor(samples.length / stretch)
  const re = new Float64Array(count)
  const im = new Float64Array(count)
  const turn = turnOf(cyclesPerSample)
  for (let k = 0; k < count; k++) {
    let sumRe = 0
    let sumIm = 0
    const to = (k + 1) * stretch
    for (let start = k * stretch; start < to; start += RESET) {
      let { cos, sin } = turn.at(start)
      const end = Math.min(to, start + RESET)
      for (let n = start; n < end; n++) {
        sumRe += samples[n]! * cos
        sumIm -= samples[n]! * sin
        const next = cos * turn.cos - sin * turn.sin
        sin = sin * turn.cos + cos * turn.sin
        cos = next
      }
    }
    re[k] = (2 * sumRe) / stretch
    im[k] = (2 * sumIm) / stretch
  }
  return { re, im }
}

/** One step of a rotation, and where it stands at any sample. */
export function turnOf(cyclesPerSample: number) {
  const step = 2 * Math.PI * cyclesPerSample
  return {
    cos: Math.cos(step),
    sin: Math.sin(step),
    at: (n: number) => ({ cos: Math.cos(step * n), sin: Math.sin(step * n) }),
  }
}
