import type { FftEngine } from './fft'
import { DeviationMeter, type DeviationSums } from './fm/deviationMeter'
import { type EdgeFrames, EdgeReader } from './measure/edgeFrames'
import { correctSamples } from './receiver/correctSamples'
import type { Stretch } from './receiver/keyedTimes'
import type { ReceiverInsight } from './receiver/receiverFaults'
import { forEachSlice, type ReadProgress, type SampleSource } from './sampleSource'
import { TimeFrequency, type TimeFrequencyPicture } from './spectrum/timeFrequency'
import { Welch, type WelchSums } from './spectrum/welch'
import type { WindowName } from './window'

/** What a recording is asked for. */
export interface AnalysisSettings {
  size: number
  window: WindowName
  /** Demodulate the channel this far from the middle of the recording, Hz; null: no deviation is wanted. */
  fmShiftHz: number | null
  channelHalfHz: number
  /** Where the neighbouring channel begins, Hz from the middle of the channel; null where none is known. */
  neighbourFromHz: number | null
  channelSpacingHz: number | null
  /** What a first look told of receiver and key-downs; null: the recording is taken as it is. */
  insight: ReceiverInsight | null
  columns: number
  rows: number
}

/** What one stretch of a recording came to; may be sent between workers. */
export interface GatheredStretch {
  welch: WelchSums
  picture: TimeFrequencyPicture
  deviation: DeviationSums | null
  edges: EdgeFrames | null
}

/**
 * Reads a stretch of a recording slice by slice: averaged spectrum of the time in which the carrier stands, picture
 * over time, what key-downs and releases put beside it, and deviation where wanted. What a first look found of the
 * receiver is taken off before.
 */
export async function gatherStretch(
  source: SampleSource,
  settings: AnalysisSettings,
  stretch: { from: number; to: number; engine: FftEngine } & ReadProgress,
): Promise<GatheredStretch> {
  const readers = readersOf(source, settings, stretch)
  const { insight } = settings
  const steady = insight?.times.steady ?? [{ from: 0, to: source.sampleCount }]
  let at = stretch.from
  try {
    await forEachSlice(source, stretch, slice => {
      const samples = insight ? correctSamples(slice, insight.correction) : slice
      const here = { from: at, to: at + samples.length / 2 }
      readers.picture.add(samples)
      readers.meter?.add(samples)
      for (const part of partsInside(steady, here)) {
        readers.welch.add(samples.subarray(2 * (part.from - at), 2 * (part.to - at)))
        if (part.isLast) readers.welch.breakOff()
      }
      for (const part of readers.edges ? partsInside(insight!.times.edges, here) : [])
        readers.edges!.add(samples.slice(2 * (part.from - at), 2 * (part.to - at)), part.isLast)
      at = here.to
    })
    return {
      welch: readers.welch.sums(),
      picture: readers.drawn.picture(),
      deviation: readers.meter?.sums() ?? null,
      edges: readers.edges?.read() ?? null,
    }
  } finally {
    readers.welch.release()
    readers.picture.release()
    readers.edges?.release()
  }
}

function readersOf(
  { sampleRateHz, layout }: SampleSource,
  settings: AnalysisSettings,
  { from, to, engine }: { from: number; to: number; engine: FftEngine },
) {
  const { size, window, fmShiftHz, channelHalfHz, neighbourFromHz, columns, rows } = settings
  const { insight, channelSpacingHz } = settings
  const frames = Math.max(1, Math.floor((to - from - size) / (size / 2)) + 1)
  const drawn = new TimeFrequency(Math.min(columns, frames), rows, frames)
  const isWhole = !insight || (insight.times.edges.length === 0 && insight.times.steady.length === 1)
  const welch = new Welch({ size, window, overlap: 0.5 }, engine, power => isWhole && drawn.add(power))
  // The picture shows all the time; where some of it is cut out of the spectrum it has frames of its own.
  const picture = isWhole
    ? { add: () => {}, release: () => {} }
    : new Welch({ size, window, overlap: 0.5 }, engine, power => drawn.add(power))
  const wantsFm = fmShiftHz !== null && layout === 'iq'
  return {
    ...{ drawn, picture, welch },
    meter: wantsFm
      ? new DeviationMeter({ sampleRateHz, shiftHz: fmShiftHz, channelHalfHz, neighbourFromHz }, engine)
      : null,
    edges:
      wantsFm && channelSpacingHz !== null && insight && insight.times.edges.length > 0
        ? new EdgeReader({ sampleRateHz, signalHz: fmShiftHz, channelSpacingHz }, engine)
        : null,
  }
}

/** The parts of some stretches that lie inside one, and whether each ends there. */
function partsInside(stretches: readonly Stretch[], here: Stretch): (Stretch & { isLast: boolean })[] {
  return stretches.flatMap(({ from, to }) => {
    const part = { from: Math.max(from, here.from), to: Math.min(to, here.to) }
    return part.to > part.from ? [{ ...part, isLast: to <= here.to }] : []
  })
}

/** Where a recording is cut for so many workers: at whole frames, so that no frame is counted twice. */
export function stretchesOf(
  sampleCount: number,
  split: { workers: number; size: number },
): { from: number; to: number }[] {
  const hop = split.size / 2
  const cuts = Array.from({ length: split.workers + 1 }, (_unused, i) =>
    i === split.workers ? sampleCount : Math.floor((i * sampleCount) / split.workers / hop) * hop,
  )
  return cuts
    .slice(1)
    .map((to, i) => ({ from: cuts[i]!, to: i === split.workers - 1 ? to : Math.min(sampleCount, to + hop) }))
    .filter(({ from, to }) => to - from >= split.size || split.workers === 1)
}
