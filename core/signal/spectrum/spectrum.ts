import type { WindowName } from '../window'

/**
 * A spectrum of a recording. Powers are of full scale (a tone of amplitude 1 reads 1 on its bin): a power
 * spectrum, right for
 * tones. What is spread out is right as a density, or as the power in a band.
 */
export interface Spectrum {
  /** Radio frequency at the middle, Hz; null where nobody says: then frequencies are offsets. */
  centreHz: number | null
  /** Frequency of the first bin relative to the middle, Hz. */
  firstHz: number
  binHz: number
  window: WindowName
  /** Equivalent noise bandwidth: the resolution bandwidth of this spectrum, Hz. */
  enbwHz: number
  enbwBins: number
  frames: number
  /** Averages’ worth of independent frames. */
  independentFrames: number
  meanPower: Float64Array
  highestPower: Float64Array
}

/** Frequency of a bin (it may be a fraction) relative to the middle, Hz. */
export function binFrequencyHz(spectrum: Spectrum, bin: number): number {
  return spectrum.firstHz + bin * spectrum.binHz
}

/** A level of full scale, dB; nothing at all reads −300. */
export function decibels(power: number): number {
  return power > 1e-30 ? 10 * Math.log10(power) : -300
}

/** The mean power spectrum, dB of full scale per bin as a tone would read. */
export function powerSpectrumDb(spectrum: Spectrum): Float64Array {
  return spectrum.meanPower.map(decibels)
}

/** The density of the mean power, dB of full scale per Hz. */
export function densityDbPerHz(spectrum: Spectrum): Float64Array {
  return spectrum.meanPower.map(power => decibels(power / spectrum.enbwHz))
}

/**
 * Power between two frequencies relative to the middle, of full scale; bins cut by an edge count by their
 * share.
 */
export function bandPower(spectrum: Spectrum, lowHz: number, highHz: number): number {
  const { firstHz, binHz, enbwBins, meanPower } = spectrum
  const low = Math.max(0, (lowHz - firstHz) / binHz + 0.5)
  const high = Math.min(meanPower.length, (highHz - firstHz) / binHz + 0.5)
  let total = 0
  for (let k = Math.floor(low); k < high; k++)
    total += meanPower[k]! * (Math.min(k + 1, high) - Math.max(k, low))
  return total / enbwBins
}

/** Standard uncertainty of an averaged noise-like level, dB. */
export function averagingUncertaintyDb(spectrum: Spectrum, bins = 1): number {
  return 10 / Math.LN10 / Math.sqrt(Math.max(1, spectrum.independentFrames * bins))
}
