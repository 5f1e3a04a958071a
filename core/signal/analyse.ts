import { CoreError } from '../errors'
import { deviationFrom } from './fm/deviation'
import type { DeviationFound, DeviationReceiver } from './fm/deviationFound'
import { type DeviationCurve, deviationCurve } from './fm/deviationCurve'
import { type DeviationSums, joinDeviation } from './fm/deviationMeter'
import type { AnalysisSettings, GatheredStretch } from './gatherStretch'
import { type AdjacentChannelPower, adjacentChannelPower } from './measure/adjacentChannelPower'
import { joinEdges } from './measure/edgeFrames'
import { type OccupiedBandwidth, occupiedBandwidth } from './measure/occupiedBandwidth'
import { phaseNoiseFrom } from './measure/receiverAdds'
import { type TransientPower, transientPower } from './measure/transientPower'
import { twoTone, type TwoTone } from './measure/twoTone'
import type { ReceiverInsight } from './receiver/receiverFaults'
import { type RecordingFault, recordingFaults } from './recordingFaults'
import type { SampleSource } from './sampleSource'
import { noiseFloorPower } from './spectrum/noiseFloor'
import { type SpectrumPeak, spectrumPeaks } from './spectrum/peaks'
import { decibels, type Spectrum } from './spectrum/spectrum'
import { joinPictures, type TimeFrequencyPicture } from './spectrum/timeFrequency'
import { addWelchSums, spectrumFrom } from './spectrum/welch'
import { WINDOW_TITLES } from './window'

/** What is looked for in a finished analysis. */
export interface Wanted {
  channelSpacingHz: number | null
  /** Carrier relative to the middle, Hz; null: the strongest peak. */
  carrierHz: number | null
  twoTone: boolean
  /** Phase noise of the receiver 10 kHz from a carrier, dBc/Hz. */
  phaseNoiseDbcPerHz: number
}

/**
 * Everything found in a recording. Frequencies are relative to its middle unless `spectrum.centreHz` is
 * added.
 */
export interface RecordingAnalysis {
  seconds: number
  sampleRateHz: number
  spectrum: Spectrum
  noiseFloorDb: number
  peaks: SpectrumPeak[]
  carrierHz: number | null
  picture: TimeFrequencyPicture
  deviation: DeviationFound | null
  curve: DeviationCurve | null
  occupied: OccupiedBandwidth | null
  adjacent: AdjacentChannelPower | null
  /** What key-downs and releases put into the neighbouring channels; null where none was recorded. */
  transient: TransientPower | null
  twoTone: TwoTone | null
  /** What a first look told of receiver and key-downs; null where none was taken. */
  insight: ReceiverInsight | null
  /** What the receiver, or the one who recorded, did to it. */
  faults: RecordingFault[]
  /** What could not be found, and why, in words. */
  without: string[]
  /** Bandwidth, window and averaging of everything here, in words. */
  words: string
}

const NO_SIGNAL = 'There is no signal in it: every sample is nought.'

const CURVE_POINTS = 600

/** Resolution bandwidths either side of the middle in which a carrier cannot be told from a receiver’s spike. */
const SPIKE_REACH = 3

/** A real signal’s spectrum is mirrored about nought: only one side is searched. */
const AUDIO_FROM_HZ = 20

/** How far the occupied bandwidth looks to each side, channel spacings. */
const LOOK_SPACINGS = 2.5

interface Channel {
  carrierHz: number
  channelSpacingHz: number
}

/** The channel that is looked at; null where its carrier or its spacing is not known. */
function channelAt(carrierHz: number | null, channelSpacingHz: number | null): Channel | null {
  return carrierHz === null || channelSpacingHz === null ? null : { carrierHz, channelSpacingHz }
}

function occupiedIn(
  spectrum: Spectrum,
  { carrierHz, channelSpacingHz, isClipped }: Channel & { isClipped: boolean },
  sampleRateHz: number,
): OccupiedBandwidth {
  const toTheEdgeHz = sampleRateHz / 2 - Math.abs(carrierHz)
  const withinHz = Math.min(LOOK_SPACINGS * channelSpacingHz, toTheEdgeHz)
  const found = occupiedBandwidth(spectrum, { carrierHz, withinHz })
  return { ...found, isUpperBound: found.isUpperBound || isClipped }
}

/** What an image that is left may add to the swing of a carrier: its share of the carrier, as fast as it lies away. */
function deviationReceiver(
  insight: ReceiverInsight | null,
  sampleRateHz: number,
): DeviationReceiver | undefined {
  if (!insight) return undefined
  const share = 10 ** (insight.image.leftDb / 20)
  const { steady, edges } = insight.times
  return {
    steady:
      edges.length === 0
        ? null
        : steady.map(({ from, to }) => ({ fromS: from / sampleRateHz, toS: to / sampleRateHz })),
    isClipped: insight.clippedShare > 0,
    addsHz: (carrierHz, { channelHalfHz, audioHz }) => {
      const awayHz = 2 * Math.abs(carrierHz)
      return awayHz < Math.min(channelHalfHz, audioHz) ? share * awayHz : 0
    },
  }
}

function tooNarrowWords(sampleRateHz: number, { channelSpacingHz }: Channel): string {
  const wide = Math.round(sampleRateHz / 1e3)
  return (
    `The recording is ${wide} kHz wide: the neighbouring channels at ${channelSpacingHz / 1e3} ` +
    'kHz do not lie inside.'
  )
}

function spectrumWords({ frames, meanPower, window, enbwHz }: Spectrum): string {
  const resolution = enbwHz < 100 ? enbwHz.toFixed(1) : Math.round(enbwHz)
  return (
    `${frames} frames of ${meanPower.length} samples, ${WINDOW_TITLES[window]} window, ` +
    `half overlapping; resolution bandwidth ${resolution} Hz.`
  )
}

/** What can be read; where it cannot, the reason joins what the analysis does without. */
function orWithout<T>(without: string[], run: () => T): T | null {
  try {
    return run()
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    without.push(error.message)
    return null
  }
}

function deviationSums(stretches: readonly GatheredStretch[]): DeviationSums | null {
  const sums = stretches.flatMap(({ deviation }) => deviation ?? [])
  return sums.length === stretches.length ? joinDeviation(sums) : null
}

const searchIn = (layout: SampleSource['layout']) => (layout === 'audio' ? { fromHz: AUDIO_FROM_HZ } : {})

/** Puts the stretches of a recording together and reads everything wanted from them. */
export function concludeAnalysis(
  stretches: readonly GatheredStretch[],
  source: Pick<SampleSource, 'sampleRateHz' | 'centreHz' | 'sampleCount' | 'layout'>,
  wanted: Wanted & Pick<AnalysisSettings, 'fmShiftHz' | 'insight'>,
): RecordingAnalysis {
  const { insight } = wanted
  const { sampleRateHz, sampleCount, layout } = source
  const spectrum = spectrumFrom(addWelchSums(stretches.map(({ welch }) => welch)), source)
  const isSilent = spectrum.meanPower.every(power => power === 0)
  const without: string[] = isSilent ? [NO_SIGNAL] : []
  const attempt = <T>(run: () => T): T | null => orWithout(without, run)
  const peaks = spectrumPeaks(spectrum, { most: 20 })
  const sums = isSilent ? null : deviationSums(stretches)
  const receiver = deviationReceiver(insight, sampleRateHz)
  const deviation = sums && attempt(() => deviationFrom(sums, wanted.fmShiftHz ?? 0, receiver))
  const heardHz = deviation?.carrierHz ?? wanted.carrierHz ?? peaks[0]?.frequencyHz ?? null
  const carrierHz = isSilent ? null : heardHz
  const known = receiverOwn(wanted)
  const tones = () => twoTone(spectrum, { ...searchIn(layout), ...known, imageDb: known.receiver.imageDb })
  const seconds = sampleCount / sampleRateHz
  return {
    ...{ seconds, sampleRateHz, spectrum, peaks, carrierHz, without, deviation, insight },
    ...inChannel(
      stretches,
      { spectrum, sampleRateHz, attempt, without },
      {
        channel: channelAt(carrierHz, wanted.channelSpacingHz),
        known,
      },
    ),
    faults: recordingFaults(insight, {
      ...{ carrierHz, sampleRateHz, seconds },
      reachHz: SPIKE_REACH * spectrum.enbwHz,
    }),
    noiseFloorDb: decibels(noiseFloorPower(spectrum)),
    picture: joinPictures(stretches.map(({ picture }) => picture)),
    curve: sums && deviationCurve(sums, CURVE_POINTS),
    twoTone: wanted.twoTone && !isSilent ? attempt(tones) : null,
    words: spectrumWords(spectrum),
  }
}

/** What is known of the receiver a recording was made with. */
function receiverOwn({ insight, phaseNoiseDbcPerHz }: Pick<Wanted, 'phaseNoiseDbcPerHz'> & WithInsight) {
  return {
    isClipped: insight !== null && insight.clippedShare > 0,
    receiver: {
      imageDb: insight?.image.leftDb ?? null,
      phaseNoiseDbcPerHz: phaseNoiseFrom(phaseNoiseDbcPerHz),
    },
  }
}

type WithInsight = Pick<AnalysisSettings, 'insight'>

/** Occupied bandwidth, neighbours and what key-downs put there; nothing where no channel is known. */
function inChannel(
  stretches: readonly GatheredStretch[],
  {
    spectrum,
    sampleRateHz,
    attempt,
    without,
  }: {
    spectrum: Spectrum
    sampleRateHz: number
    attempt: <T>(run: () => T) => T | null
    without: string[]
  },
  { channel, known }: { channel: Channel | null; known: ReturnType<typeof receiverOwn> },
): Pick<RecordingAnalysis, 'occupied' | 'adjacent' | 'transient'> {
  if (!channel) return { occupied: null, adjacent: null, transient: null }
  const own = { ...channel, ...known }
  const occupied = attempt(() => occupiedIn(spectrum, own, sampleRateHz))
  const adjacent = adjacentChannelPower(spectrum, own)
  if (adjacent.channels.length === 0) without.push(tooNarrowWords(sampleRateHz, channel))
  const edges = joinEdges(stretches.flatMap(stretch => stretch.edges ?? []))
  return { occupied, adjacent, transient: edges && transientPower(edges, adjacent) }
}
