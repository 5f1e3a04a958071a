import type { SubAudible } from './audioBlock'
import type { FmFilters } from './fmDemodulator'
import type { SecondsStretch } from './keyedBuckets'

/** A carrier so weak that a discriminator clicks, or a recording whose tops are cut off. */
export type BoundBy = 'clicks' | 'clipping'

/** Deviation of a recording, Hz. */
export interface DeviationFound {
  /**
   * `tone`: from the fit of one tone, noise not counted. `extremes`: the highest and lowest moment, which
   * noise can only have pushed apart.
   */
  method: 'tone' | 'extremes'
  /** Swing of the fitted tone alone, Hz, where something swings further; null else. */
  toneAloneHz: number | null
  /** Why the figure is only known to be at most this; null where it is a figure. */
  boundBy: BoundBy | null
  isUpperBound: boolean
  /** How far the carrier stands above the noise in its channel, dB. */
  carrierToNoiseDb: number
  /** How far the carrier moved from the beginning to the end of what was used, Hz; taken out of the swing. */
  driftHz: number
  plusHz: number
  minusHz: number
  halfPeakToPeakHz: number
  rmsHz: number
  /** What the receiver’s own image may add to the furthest moments, Hz. */
  receiverAddsHz: number
  /** How far noise and the receiver may have pushed the figure up, Hz; nought for a fitted tone. */
  noiseAddsHz: number
  standardUncertaintyHz: number
  toneHz: number | null
  /** Of the tone, 0 to 1; null without one. */
  distortion: number | null
  /** Swing of voice or tone without the tone squelch, Hz: half peak to peak. */
  audioHz: number
  /** The tone squelch, with what its seconds differ by and the demodulator’s own doubt. */
  subAudible: (SubAudible & { standardUncertaintyHz: number }) | null
  /** Mean frequency against the middle of the recording, Hz. */
  carrierHz: number
  carrierUncertaintyHz: number
  /** Keyed time that was used, s. */
  usedS: number
  noiseRmsHz: number
  channelHalfHz: number
  audioLowPassHz: number
  /** Swings further than this are read a few per cent off: the channel filter takes sidebands away. */
  cutsFromHz: number
  /** How the figure was come by, in words. */
  words: string
}

/** What is known of the receiver, and of the time its radio was keyed. */
export interface DeviationReceiver {
  /** Stretches in which the carrier stands; null where the demodulated power has to tell. */
  steady: readonly SecondsStretch[] | null
  /** Its converter cut the tops off. */
  isClipped: boolean
  /** What its image may add to the swing of a carrier this far from the middle, Hz. */
  addsHz: (carrierHz: number, filters: FmFilters) => number
}
