import { CoreError } from '../../errors'
import { noiseFloorPower } from '../spectrum/noiseFloor'
import { binFrequencyHz, type Spectrum } from '../spectrum/spectrum'

/** Occupied bandwidth of a spectrum. */
export interface OccupiedBandwidth {
  bandwidthHz: number
  lowHz: number
  highHz: number
  /** Share of the power inside. */
  share: number
  /** The recording’s noise holds so much of what was looked at that the figure is only an upper bound. */
  isUpperBound: boolean
  standardUncertaintyHz: number
  /** Stretch of the spectrum the whole power was taken from, Hz either side of the carrier. */
  withinHz: number
}

/** Noise holding more than this share of each side’s half per cent makes the figure a bound. */
const NOISE_SHARE = 0.1

/**
 * The band that leaves half a per cent of the power below and half above.
 * @param around - carrier relative to the middle of the recording, and how far to look on each side, Hz.
 * @throws CoreError `too-few` where the spectrum is too coarse there.
 * @see ITU-R SM.328 (from memory).
 */
export function occupiedBandwidth(
  spectrum: Spectrum,
  around: { carrierHz: number; withinHz: number; share?: number },
): OccupiedBandwidth {
  const { carrierHz, withinHz, share = 0.99 } = around
  const first = Math.max(0, Math.ceil((carrierHz - withinHz - spectrum.firstHz) / spectrum.binHz))
  const last = Math.min(
    spectrum.meanPower.length - 1,
    Math.floor((carrierHz + withinHz - spectrum.firstHz) / spectrum.binHz),
  )
  if (last - first < 8)
    throw new CoreError(
      'too-few',
      'The recording’s spectrum is too coarse for an occupied bandwidth here: ' +
        'choose longer frames or a wider recording.',
      { name: 'bins', got: last - first, min: 8 },
    )
  let total = 0
  for (let k = first; k <= last; k++) total += spectrum.meanPower[k]!
  const tail = ((1 - share) / 2) * total
  const lowBin = edge(spectrum, { from: first, to: last, step: 1, tail })
  const highBin = edge(spectrum, { from: last, to: first, step: -1, tail })
  const noise = noiseFloorPower(spectrum) * (last - first + 1)
  const lowHz = binFrequencyHz(spectrum, lowBin)
  const highHz = binFrequencyHz(spectrum, highBin)
  return {
    bandwidthHz: highHz - lowHz,
    lowHz,
    highHz,
    share,
    withinHz,
    isUpperBound: noise / 2 > NOISE_SHARE * tail && noise > 0,
    standardUncertaintyHz: (spectrum.enbwHz * Math.SQRT2) / Math.sqrt(12),
  }
}

/**
 * Where the power counted from one side reaches the tail, as a fraction of a bin; a bin’s power lies half a
 * bin to either side.
 */
function edge(spectrum: Spectrum, search: { from: number; to: number; step: 1 | -1; tail: number }): number {
  let sum = 0
  for (let k = search.from; k !== search.to; k += search.step) {
    const power = spectrum.meanPower[k]!
    if (sum + power >= search.tail) return k + search.step * ((search.tail - sum) / power - 0.5)
    sum += power
  }
  return search.to
}
