/**
 * A Gaussian resolution filter falls by 3.01 dB half a bandwidth from its centre: 12.04·(offset/bandwidth)²
 * dB.
 */
const GAUSSIAN_DB = 40 * Math.log10(2)

/**
 * Most a carrier can read low, dB, when it stands midway between two points of a stepped trace:
 * 3.01·(step/bandwidth)² for a Gaussian resolution filter. 0.75 dB for a step of half the bandwidth.
 */
export function steppedTraceLossDb(stepHz: number, resolutionBandwidthHz: number): number {
  const offset = stepHz / 2 / resolutionBandwidthHz
  return GAUSSIAN_DB * offset * offset
}
