import { noiseFloorPower } from '../spectrum/noiseFloor'
import { averagingUncertaintyDb, bandPower, decibels, type Spectrum } from '../spectrum/spectrum'
import { receiverAdds, type ReceiverOwn } from './receiverAdds'

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

/** What fills a neighbouring channel so far that the radio’s part of it is only known to be less. */
export type FilledBy = 'noise' | 'image' | 'phase-noise' | 'clipping'

/** Power in one neighbouring channel against the carrier’s. */
export interface ChannelPower {
  side: 'lower' | 'upper'
  /** First neighbour, or the one beyond. */
  step: 1 | 2
  lowHz: number
  highHz: number
  /** With the recording’s own noise taken off where it can be. */
  ratioDb: number
  /** What the noise that was taken off came to, dB; nought where it is only a bound. */
  noiseTakenOffDb: number
  /** What fills the channel: the true ratio is at most this; null where it is the radio’s. */
  filledBy: FilledBy | null
  isUpperBound: boolean
  /** How much of it the receiver’s image and phase noise may be, dB: the true ratio is up to this much less. */
  receiverAddsDb: number
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

/** The channel that is looked at, and through what. */
export interface OwnChannel {
  carrierHz: number
  channelSpacingHz: number
  filterHz?: number
  receiver: ReceiverOwn
  isClipped: boolean
}

/** Within this of the noise the power is only a bound, dB. */
const NOISE_MARGIN_DB = 3

/** What the receiver may have added is a range up to this share of the power, and a bound from there on. */
const MOST_ADDED = 0.6

/** How well the noise floor itself is known, of its power (common practice, no source). */
const FLOOR_DOUBT = 0.05

/**
 * Power in the neighbouring channels through the stated filter, against the power in the channel’s own; those
 * outside the recording are left out. The recording’s noise is taken off; what the receiver’s image and phase noise may
 * have added stays open.
 */
export function adjacentChannelPower(spectrum: Spectrum, channel: OwnChannel): AdjacentChannelPower {
  const { carrierHz, channelSpacingHz, filterHz = adjacentFilterHz(channel.channelSpacingHz) } = channel
  const own = bandPower(spectrum, carrierHz - channelSpacingHz / 2, carrierHz + channelSpacingHz / 2)
  const highestHz = spectrum.firstHz + (spectrum.meanPower.length - 1) * spectrum.binHz
  const channels = ([1, 2] as const).flatMap(step =>
    (['lower', 'upper'] as const).flatMap((side): ChannelPower[] => {
      const middle = carrierHz + (side === 'lower' ? -1 : 1) * step * channelSpacingHz
      const band = { lowHz: middle - filterHz / 2, highHz: middle + filterHz / 2 }
      if (band.lowHz < spectrum.firstHz || band.highHz > highestHz) return []
      return [{ side, step, ...band, ...powerIn(spectrum, band, { ...channel, own }) }]
    }),
  )
  return { carrierHz, channelSpacingHz, filterHz, ownPowerDb: decibels(own), channels }
}

function powerIn(
  spectrum: Spectrum,
  band: { lowHz: number; highHz: number },
  { own, carrierHz, receiver, isClipped }: OwnChannel & { own: number },
): Omit<ChannelPower, 'side' | 'step' | 'lowHz' | 'highHz'> {
  const bins = (band.highHz - band.lowHz) / spectrum.enbwHz
  const seen = bandPower(spectrum, band.lowHz, band.highHz)
  const floor = noiseFloorPower(spectrum) * bins
  const inNoise = seen < floor * 10 ** (NOISE_MARGIN_DB / 10)
  const power = inNoise ? seen : seen - floor
  const adds = receiverAdds(spectrum, band, { carrierHz, ownPower: own }, receiver)
  const filledBy = filling({ power, inNoise, adds, isClipped })
  const share = Math.min(MOST_ADDED, (adds.image + adds.phaseNoise) / Math.max(1e-30, power))
  return {
    ratioDb: decibels(power / own),
    noiseTakenOffDb: inNoise ? 0 : decibels(seen / power),
    filledBy,
    isUpperBound: filledBy !== null,
    receiverAddsDb: filledBy === null ? -decibels(1 - share) : 0,
    standardUncertaintyDb: Math.hypot(
      averagingUncertaintyDb(spectrum, bins) * (seen / power),
      ((10 / Math.LN10) * FLOOR_DOUBT * (inNoise ? 0 : floor)) / power,
    ),
  }
}

function filling({
  power,
  inNoise,
  adds: { image, phaseNoise },
  isClipped,
}: {
  power: number
  inNoise: boolean
  adds: { image: number; phaseNoise: number }
  isClipped: boolean
}): FilledBy | null {
  if (isClipped) return 'clipping'
  if (inNoise) return 'noise'
  if (image + phaseNoise < MOST_ADDED * power) return null
  return image > phaseNoise ? 'image' : 'phase-noise'
}
