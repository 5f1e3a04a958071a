import type { SampleCorrection } from './receiverFaults'

/** Takes spike and image off samples I, Q, I, Q …; gives back the same samples where there is nothing to take off. */
export function correctSamples(samples: Float32Array, { spike, image }: SampleCorrection): Float32Array {
  if (spike.re === 0 && spike.im === 0 && image.re === 0 && image.im === 0) return samples
  const corrected = new Float32Array(samples.length)
  for (let n = 0; n < samples.length; n += 2) {
    const i = samples[n]! - spike.re
    const q = samples[n + 1]! - spike.im
    corrected[n] = i - (image.re * i + image.im * q)
    corrected[n + 1] = q - (image.im * i - image.re * q)
  }
  return corrected
}
