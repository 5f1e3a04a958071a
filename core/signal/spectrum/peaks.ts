import { type WindowName, windowResponse } from '../window'
import { noiseFloorPower } from './noiseFloor'
import { binFrequencyHz, decibels, type Spectrum } from './spectrum'

/** A tone found in a spectrum, between the bins. */
export interface SpectrumPeak {
  /** Relative to the middle of the recording, Hz. */
  frequencyHz: number
  /** Of full scale, with what the window takes between bins put back. */
  levelDb: number
  power: number
  /** Above the noise floor, dB. */
  aboveFloorDb: number
  bin: number
}

/** A peak must stand this far above the noise floor to be found, dB. */
const LEAST_ABOVE_FLOOR_DB = 10

/**
 * Where between its bins a tone stands and what it really reads, from a highest bin and its neighbours and
 * the known shape of the window.
 * Exact for one clean tone; needs at least 3 bins.
 */
function interpolatedPeak(
  spectrum: Spectrum,
  bin: number,
  powers: Float64Array = spectrum.meanPower,
): Pick<SpectrumPeak, 'frequencyHz' | 'levelDb' | 'power'> {
  const left = powers[bin - 1] ?? 0
  const right = powers[bin + 1] ?? 0
  const offset = offsetOf(spectrum.window, Math.sqrt(left), Math.sqrt(right))
  const power = powers[bin]! / windowResponse(spectrum.window, offset) ** 2
  return { frequencyHz: binFrequencyHz(spectrum, bin + offset), power, levelDb: decibels(power) }
}

/** Offset in bins at which the window gives the neighbours this ratio, by halving. */
function offsetOf(window: WindowName, left: number, right: number): number {
  if (left + right === 0) return 0
  const wanted = (right - left) / (right + left)
  let low = -0.5
  let high = 0.5
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2
    const before = Math.abs(windowResponse(window, middle + 1))
    const after = Math.abs(windowResponse(window, middle - 1))
    if ((after - before) / (after + before) < wanted) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** Where peaks are searched, and how many at most. */
export interface PeakSearch {
  /** Frequencies to search between, relative to the middle, Hz. */
  fromHz?: number
  toHz?: number
  /** Nothing nearer to a stronger peak than this, Hz. */
  apartHz?: number
  most?: number
  /** Search what was ever highest, not the average. */
  highest?: boolean
}

/** Peaks of a spectrum, the strongest first. */
export function spectrumPeaks(spectrum: Spectrum, search: PeakSearch = {}): SpectrumPeak[] {
  const {
    fromHz = -Infinity,
    toHz = Infinity,
    apartHz = 4 * spectrum.enbwHz,
    most = 50,
    highest = false,
  } = search
  const powers = highest ? spectrum.highestPower : spectrum.meanPower
  const floor = noiseFloorPower(spectrum, powers)
  const least = floor * 10 ** (LEAST_ABOVE_FLOOR_DB / 10)
  const isInside = (bin: number) => {
    const hz = binFrequencyHz(spectrum, bin)
    return hz >= fromHz && hz <= toHz
  }
  const candidates = summits(powers, least).filter(isInside)
  candidates.sort((a, b) => powers[b]! - powers[a]!)
  const found: SpectrumPeak[] = []
  for (const bin of candidates) {
    if (found.length >= most) break
    const peak = interpolatedPeak(spectrum, bin, powers)
    if (found.some(other => Math.abs(other.frequencyHz - peak.frequencyHz) < apartHz)) continue
    found.push({ ...peak, bin, aboveFloorDb: floor > 0 ? decibels(peak.power / floor) : 300 })
  }
  return found
}

/** Bins above `least` and above their neighbours, in rising order. */
function summits(powers: Float64Array, least: number): number[] {
  const found: number[] = []
  for (let k = 1; k < powers.length - 1; k++) {
    const power = powers[k]!
    if (power > least && power >= powers[k - 1]! && power > powers[k + 1]!) found.push(k)
  }
  return found
}

/** The strongest bin within `withinHz` of a frequency, interpolated; null outside the recording. */
export function peakNear(spectrum: Spectrum, frequencyHz: number, withinHz: number): SpectrumPeak | null {
  const from = Math.max(1, Math.ceil((frequencyHz - withinHz - spectrum.firstHz) / spectrum.binHz))
  const to = Math.min(
    spectrum.meanPower.length - 2,
    Math.floor((frequencyHz + withinHz - spectrum.firstHz) / spectrum.binHz),
  )
  if (from > to) return null
  let bin = from
  for (let k = from; k <= to; k++) if (spectrum.meanPower[k]! > spectrum.meanPower[bin]!) bin = k
  const floor = noiseFloorPower(spectrum)
  const peak = interpolatedPeak(spectrum, bin)
  return { ...peak, bin, aboveFloorDb: floor > 0 ? decibels(peak.power / floor) : 300 }
}
