import { type AnalysisSettings, sizeFor } from './analyse'
import type { SampleSource } from './sampleSource'
import { windowFacts } from './window'

const WINDOW = 'blackman-harris' as const
const CHANNEL_HALF_HZ = 15_000

/** What of a recording is wanted. */
export interface AnalysisNeeds {
  deviation: boolean
  /** Resolution bandwidth aimed at, Hz. */
  resolutionHz: number
}

/**
 * How a recording is analysed, but for the size of its picture.
 * @param signalHz - signal whose deviation is read, Hz from the middle of the recording.
 */
export function analysisSettings(
  { sampleRateHz, sampleCount, layout }: Pick<SampleSource, 'sampleRateHz' | 'sampleCount' | 'layout'>,
  { deviation, resolutionHz }: AnalysisNeeds,
  signalHz: number,
): Omit<AnalysisSettings, 'columns' | 'rows'> {
  const { enbwBins } = windowFacts(WINDOW)
  return {
    size: sizeFor(sampleRateHz, { resolutionHz, enbwBins, sampleCount }),
    window: WINDOW,
    fmShiftHz: deviation && layout === 'iq' ? signalHz : null,
    channelHalfHz: CHANNEL_HALF_HZ,
  }
}
