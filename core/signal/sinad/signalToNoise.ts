import type { FftEngine } from '../fft'
import type { AudioWeighting } from './audioFilter'
import { noiseBandwidthHz, powerDensity, weightedPower } from './powerDensity'

/** Noise of a receiver through a filter. */
export interface FilteredNoise {
  /** Full scale 1. */
  power: number
  /** How well a block tells it, as a share. */
  relativeUncertainty: number
}

/** A ratio of two blocks, dB. */
export interface BlockRatio {
  ratioDb: number
  standardUncertaintyDb: number
}

/** What comes out of a block through a filter, tone and all. */
export function filteredPower(
  samples: Float64Array,
  sampleRateHz: number,
  weighting: AudioWeighting,
  engine: FftEngine,
): FilteredNoise {
  const density = powerDensity(samples, { sampleRateHz, weighting, engine })
  const seconds = samples.length / sampleRateHz
  return {
    power: weightedPower(density, weighting),
    relativeUncertainty: 1 / Math.sqrt(Math.max(1, noiseBandwidthHz(density, weighting) * seconds)),
  }
}

/**
 * Signal and noise to noise, 10·log10((S+N)/N): the modulation, or the carrier, on and off.
 * @param withSignal - a block with it on; its own uncertainty is that of the noise in it.
 */
export function signalToNoise(withSignal: FilteredNoise, without: FilteredNoise): BlockRatio {
  const noiseShare = Math.min(1, without.power / withSignal.power)
  return ratioOf(withSignal.power / without.power, [
    noiseShare * without.relativeUncertainty,
    without.relativeUncertainty,
  ])
}

/** Quieting: noise with no signal against noise with a carrier, dB. */
export function quieting(noSignal: FilteredNoise, carrier: FilteredNoise): BlockRatio {
  return ratioOf(noSignal.power / carrier.power, [noSignal.relativeUncertainty, carrier.relativeUncertainty])
}

function ratioOf(ratio: number, relative: [number, number]): BlockRatio {
  return {
    ratioDb: 10 * Math.log10(ratio),
    standardUncertaintyDb: (10 / Math.LN10) * Math.hypot(...relative),
  }
}
