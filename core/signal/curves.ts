import { binFrequencyHz, decibels, type Spectrum } from './spectrum/spectrum'

/** A spectrum thinned for drawing and keeping: in each step the highest mean and the highest ever. */
export interface SpectrumCurve {
  /** Relative to the carrier, Hz. */
  offsetHz: Float64Array
  /** dB of the reference. */
  meanDb: Float64Array
  highestDb: Float64Array
}

/**
 * Thins a spectrum around a carrier; levels relative to a reference level, dB of full scale. No peak is lost.
 */
export function spectrumCurve(
  spectrum: Spectrum,
  {
    carrierHz,
    withinHz,
    points,
    referenceDb,
  }: { carrierHz: number; withinHz: number; points: number; referenceDb: number },
): SpectrumCurve {
  const first = Math.max(0, Math.ceil((carrierHz - withinHz - spectrum.firstHz) / spectrum.binHz))
  const last = Math.min(
    spectrum.meanPower.length - 1,
    Math.floor((carrierHz + withinHz - spectrum.firstHz) / spectrum.binHz),
  )
  const bins = Math.max(0, last - first + 1)
  const count = Math.min(points, bins)
  const curve: SpectrumCurve = {
    offsetHz: new Float64Array(count),
    meanDb: new Float64Array(count),
    highestDb: new Float64Array(count),
  }
  for (let i = 0; i < count; i++) {
    const from = first + Math.floor((i * bins) / count)
    const to = first + Math.floor(((i + 1) * bins) / count)
    let best = from
    let highest = 0
    for (let k = from; k < to; k++) {
      if (spectrum.meanPower[k]! > spectrum.meanPower[best]!) best = k
      highest = Math.max(highest, spectrum.highestPower[k]!)
    }
    curve.offsetHz[i] = binFrequencyHz(spectrum, best) - carrierHz
    curve.meanDb[i] = decibels(spectrum.meanPower[best]!) - referenceDb
    curve.highestDb[i] = decibels(highest) - referenceDb
  }
  return curve
}
