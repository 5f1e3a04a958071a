import { assertInRange } from '../errors'

/** A window offered for spectra, as settings name it. */
export type WindowName = 'rectangular' | 'hann' | 'hamming' | 'blackman' | 'blackman-harris' | 'flat-top'

/**
 * Cosine-sum coefficients a0, a1, …: w(n) = Σ (−1)^m a_m cos(2π m n / N).
 * @see Harris, “On the use of windows for harmonic analysis with the discrete Fourier transform”, Proc. IEEE
 *   66 (1978), Table 1 (from memory);
 * the flat-top is not in Harris: five terms as commonly printed (from memory).
 */
const COEFFICIENTS: Record<WindowName, readonly number[]> = {
  rectangular: [1],
  hann: [0.5, 0.5],
  hamming: [0.54, 0.46],
  blackman: [0.42, 0.5, 0.08],
  'blackman-harris': [0.35875, 0.48829, 0.14128, 0.01168],
  'flat-top': [0.21557895, 0.41663158, 0.277263158, 0.083578947, 0.006947368],
}

/** Windows as words name them. */
export const WINDOW_TITLES: Record<WindowName, string> = {
  rectangular: 'rectangular',
  hann: 'Hann',
  hamming: 'Hamming',
  blackman: 'Blackman',
  'blackman-harris': '4-term Blackman–Harris',
  'flat-top': 'flat-top',
}

/** What a window does to levels and bandwidth. */
export interface WindowFacts {
  /** Mean of the window: what it does to the amplitude of a tone. */
  coherentGain: number
  /** Equivalent noise bandwidth, bins. */
  enbwBins: number
  /** What a tone half-way between two bins reads low, dB. */
  scallopingDb: number
}

/**
 * The window, periodic form.
 * @throws CoreError `out-of-range` for fewer than 2 points.
 */
export function windowOf(name: WindowName, size: number): Float32Array {
  assertInRange('window size', size, 2, 2 ** 24)
  const terms = COEFFICIENTS[name]
  return Float32Array.from({ length: size }, (_unused, n) =>
    terms.reduce((sum, a, m) => sum + (m % 2 ? -a : a) * Math.cos((2 * Math.PI * m * n) / size), 0),
  )
}

/**
 * Coherent gain, equivalent noise bandwidth and scalloping of a window, from its coefficients: exact for long
 * windows.
 */
export function windowFacts(name: WindowName): WindowFacts {
  const terms = COEFFICIENTS[name]
  const coherentGain = terms[0]!
  const meanSquare = terms.reduce((sum, a, m) => sum + (m === 0 ? a * a : (a * a) / 2), 0)
  return {
    coherentGain,
    enbwBins: meanSquare / coherentGain ** 2,
    scallopingDb: -20 * Math.log10(windowResponse(name, 0.5)),
  }
}

/**
 * Amplitude a tone reads at `offsetBins` from a bin, of what it reads on the bin; signed beyond the main
 * lobe.
 */
export function windowResponse(name: WindowName, offsetBins: number): number {
  const terms = COEFFICIENTS[name]
  return (
    terms.reduce(
      (sum, a, m) =>
        sum + (m === 0 ? a * sinc(offsetBins) : (a / 2) * (sinc(offsetBins - m) + sinc(offsetBins + m))),
      0,
    ) / terms[0]!
  )
}

function sinc(x: number): number {
  return x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x)
}
