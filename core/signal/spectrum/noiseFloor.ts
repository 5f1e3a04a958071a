import type { Spectrum } from './spectrum'

/**
 * Mean noise power per bin: the median over all bins, which signals in fewer than half of them hardly move,
 * turned into the mean
 * that belongs to it (the median of an average over K frames lies below its mean: 1.59 dB for one frame, 0.03
 * dB for fifty).
 * @see Wilson and Hilferty, “The distribution of chi-square”, PNAS 17 (1931).
 */
export function noiseFloorPower(spectrum: Spectrum, powers: Float64Array = spectrum.meanPower): number {
  const sorted = Float64Array.from(powers).sort()
  const middle = sorted.length >> 1
  const median = sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
  const degrees = 2 * Math.max(1, spectrum.independentFrames)
  return median / (1 - 2 / (9 * degrees)) ** 3
}
