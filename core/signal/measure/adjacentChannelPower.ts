import { noiseFloorPower } from '../spectrum/noiseFloor'
import { averagingUncertaintyDb, bandPower, decibels, type Spectrum } from '../spectrum/spectrum'

/**
 * Width of the filter an adjacent channel is read through, Hz, by channel spacing. @see ETSI EN 300 086,
 * power measuring receiver (from memory).
 */
const ADJACENT_FILTER_HZ: Readonly<Record<number, number>> = {
  12_500: 8_500,
  20_000: 14_000,
  25_000: 16_000,
}

/** The filter’s width for a channel spacing: as the standard says, else two thirds of the spacing. */
export function adjacentFilterHz(channelSpacingHz: number): number {
  return ADJACENT_FILTER_HZ[channelSpacingHz] ?? Math.round((2 * channelSpacingHz) / 3)
}

/** Power in one neighbouring channel against the carrier’s. */
export interface ChannelPower {
  side: 'lower' | 'upper'
  /** First neighbour, or the one beyond. */
  step: 1 | 2
  lowHz: number
  highHz: number
  ratioDb: number
  /** The recording’s own noise fills the channel: the true ratio is at most this. */
  isUpperBound: boolean
  standardUncertaintyDb: number
}

/**
 * Power in a channel (dB of full scale) and in its neighbours, through filters of one width; Hz relative to
 * the middle of the recording.
 */
export interface AdjacentChannelPower {
  carrierHz: number
  channelSpacingHz: number
  filterHz: number
  ownPowerDb: number
  channels: ChannelPower[]
}

/** Within this of the noise the power is only a bound, dB. */
const NOISE_MARGIN_DB = 3

/**
 * Power in the neighbouring channels through the stated filter, against the power in the channel’s own; those
 * outside the recording are left out.
 */
export function adjacentChannelPower(
  spectrum: Spectrum,
  {
    carrierHz,
    channelSpacingHz,
    filterHz = adjacentFilterHz(channelSpacingHz),
  }: { carrierHz: number; channelSpacingHz: number; filterHz?: number },
): AdjacentChannelPower {
  const own = bandPower(spectrum, carrierHz - channelSpacingHz / 2, carrierHz + channelSpacingHz / 2)
  const floor = noiseFloorPower(spectrum) * (filterHz / spectrum.enbwHz)
  const edges = {
    low: spectrum.firstHz,
    high: spectrum.firstHz + (spectrum.meanPower.length - 1) * spectrum.binHz,
  }
  const channels = ([1, 2] as const).flatMap(step =>
    (['lower', 'upper'] as const).flatMap((side): ChannelPower[] => {
      const middle = carrierHz + (side === 'lower' ? -1 : 1) * step * channelSpacingHz
      const [lowHz, highHz] = [middle - filterHz / 2, middle + filterHz / 2]
      if (lowHz < edges.low || highHz > edges.high) return []
      const power = bandPower(spectrum, lowHz, highHz)
      return [
        {
          side,
          step,
          lowHz,
          highHz,
          ratioDb: decibels(power / own),
          isUpperBound: power < floor * 10 ** (NOISE_MARGIN_DB / 10),
          standardUncertaintyDb: averagingUncertaintyDb(spectrum, filterHz / spectrum.enbwHz),
        },
      ]
    }),
  )
  return { carrierHz, channelSpacingHz, filterHz, ownPowerDb: decibels(own), channels }
}
