import { sizeFor } from './frameSize'
import type { AnalysisSettings } from './gatherStretch'
import type { ReceiverInsight } from './receiver/receiverFaults'
import type { SampleSource } from './sampleSource'
import { windowFacts } from './window'

const WINDOW = 'blackman-harris' as const

/** Half the width of the channel filter where no channel spacing is known, Hz. */
const CHANNEL_HALF_HZ = 15_000

/**
 * The channel filter by the spacing: flat over more than the channel, so that a radio that swings too far is still
 * read, and shut where a neighbour on voice begins (12.5 kHz: ±9 kHz, shut from 10.5 kHz on).
 */
const FLAT_SHARE = 0.72
const SHUT_SHARE = 0.84

/** Half the width of the channel filter, and where the neighbour begins, Hz; for no known spacing a wide one. */
export function channelFilter(channelSpacingHz: number | null): {
  channelHalfHz: number
  neighbourFromHz: number | null
} {
  if (channelSpacingHz === null) return { channelHalfHz: CHANNEL_HALF_HZ, neighbourFromHz: null }
  return {
    channelHalfHz: FLAT_SHARE * channelSpacingHz,
    neighbourFromHz: SHUT_SHARE * channelSpacingHz,
  }
}

/** What of a recording is wanted. */
export interface AnalysisNeeds {
  deviation: boolean
  /** Resolution bandwidth aimed at, Hz. */
  resolutionHz: number
  channelSpacingHz: number | null
}

/**
 * How a recording is analysed, but for the size of its picture.
 * @param signal.hz - signal whose deviation is read, Hz from the middle of the recording.
 * @param signal.insight - what a first look through told; null for audio.
 */
export function analysisSettings(
  { sampleRateHz, sampleCount, layout }: Pick<SampleSource, 'sampleRateHz' | 'sampleCount' | 'layout'>,
  { deviation, resolutionHz, channelSpacingHz }: AnalysisNeeds,
  signal: { hz: number; insight: ReceiverInsight | null },
): Omit<AnalysisSettings, 'columns' | 'rows'> {
  const { enbwBins } = windowFacts(WINDOW)
  return {
    size: sizeFor(sampleRateHz, { resolutionHz, enbwBins, sampleCount: steadySamples(signal, sampleCount) }),
    window: WINDOW,
    fmShiftHz: deviation && layout === 'iq' ? signal.hz : null,
    ...channelFilter(channelSpacingHz),
    channelSpacingHz,
    insight: signal.insight && ofThisSignal(signal.insight, signal.hz, sampleCount),
  }
}

/** Key-downs are told from the power of all that was recorded: they are those of the strongest signal only. */
function ofThisSignal(insight: ReceiverInsight, signalHz: number, sampleCount: number): ReceiverInsight {
  const isStrongest = insight.signalHz !== null && Math.abs(insight.signalHz - signalHz) < SAME_SIGNAL_HZ
  if (isStrongest) return insight
  return { ...insight, times: { ...insight.times, steady: [{ from: 0, to: sampleCount }], edges: [] } }
}

/** Two places this near are of one signal: a sideband of a voice channel, Hz. */
const SAME_SIGNAL_HZ = 6_000

/** A steady stretch may be cut in two between the workers. */
const CUT_BY_WORKERS = 2

/** A frame must fit into the longest steady stretch. */
function steadySamples({ insight }: { insight: ReceiverInsight | null }, sampleCount: number): number {
  if (!insight || insight.times.edges.length === 0) return sampleCount
  return Math.max(...insight.times.steady.map(({ from, to }) => to - from)) / CUT_BY_WORKERS
}
