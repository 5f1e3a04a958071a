import { CoreError } from '../errors'
import type { FftEngine } from './fft'
import { type DeviationCurve, deviationCurve, type DeviationFound, deviationFrom } from './fm/deviation'
import { DeviationMeter, type DeviationSums, joinDeviation } from './fm/deviationMeter'
import { type AdjacentChannelPower, adjacentChannelPower } from './measure/adjacentChannelPower'
import { type OccupiedBandwidth, occupiedBandwidth } from './measure/occupiedBandwidth'
import { twoTone, type TwoTone } from './measure/twoTone'
import { forEachSlice, type ReadProgress, type SampleSource } from './sampleSource'
import { noiseFloorPower } from './spectrum/noiseFloor'
import { type SpectrumPeak, spectrumPeaks } from './spectrum/peaks'
import { decibels, type Spectrum } from './spectrum/spectrum'
import { joinPictures, TimeFrequency, type TimeFrequencyPicture } from './spectrum/timeFrequency'
import { addWelchSums, spectrumFrom, Welch, type WelchSums } from './spectrum/welch'
import { type WindowName, WINDOW_TITLES } from './window'

/** What a recording is asked for. */
export interface AnalysisSettings {
  size: number
  window: WindowName
  /** Demodulate the channel this far from the middle of the recording, Hz; null: no deviation is wanted. */
  fmShiftHz: number | null
  channelHalfHz: number
  columns: number
  rows: number
}

/** What one stretch of a recording came to; may be sent between workers. */
export interface GatheredStretch {
  welch: WelchSums
  picture: TimeFrequencyPicture
  deviation: DeviationSums | null
}

/**
 * Reads a stretch of a recording slice by slice: averaged spectrum, picture over time, and deviation where
 * wanted.
 */
export async function gatherStretch(
  source: SampleSource,
  settings: AnalysisSettings,
  stretch: { from: number; to: number; engine: FftEngine } & ReadProgress,
): Promise<GatheredStretch> {
  const { size, window, fmShiftHz, channelHalfHz, columns, rows } = settings
  const { from, to, engine } = stretch
  const frames = Math.max(1, Math.floor((to - from - size) / (size / 2)) + 1)
  const picture = new TimeFrequency(Math.min(columns, frames), rows, frames)
  const welch = new Welch({ size, window, overlap: 0.5 }, engine, power => picture.add(power))
  const meter =
    fmShiftHz === null || source.layout !== 'iq'
      ? null
      : new DeviationMeter({ sampleRateHz: source.sampleRateHz, shiftHz: fmShiftHz, channelHalfHz }, engine)
  try {
    await forEachSlice(source, stretch, slice => {
      welch.add(slice)
      meter?.add(slice)
    })
    return { welch: welch.sums(), picture: picture.picture(), deviation: meter?.sums() ?? null }
  } finally {
    welch.release()
  }
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

/** What is looked for in a finished analysis. */
export interface Wanted {
  channelSpacingHz: number | null
  /** Carrier relative to the middle, Hz; null: the strongest peak. */
  carrierHz: number | null
  twoTone: boolean
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
  twoTone: TwoTone | null
  /** What could not be found, and why, in words. */
  without: string[]
  /** Bandwidth, window and averaging of everything here, in words. */
  words: string
}

const NO_SIGNAL = 'There is no signal in it: every sample is nought.'

const CURVE_POINTS = 600

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

function occupiedIn(spectrum: Spectrum, { carrierHz, channelSpacingHz }: Channel, sampleRateHz: number) {
  const toTheEdgeHz = sampleRateHz / 2 - Math.abs(carrierHz)
  const withinHz = Math.min(LOOK_SPACINGS * channelSpacingHz, toTheEdgeHz)
  return occupiedBandwidth(spectrum, { carrierHz, withinHz })
}

function tooNarrowWords(sampleRateHz: number, { channelSpacingHz }: Channel): string {
  const wide = Math.round(sampleRateHz / 1e3)
  return `The recording is ${wide} kHz wide: the neighbouring channels at ${channelSpacingHz / 1e3} kHz do not lie inside.`
}

function spectrumWords({ frames, meanPower, window, enbwHz }: Spectrum): string {
  const resolution = enbwHz < 100 ? enbwHz.toFixed(1) : Math.round(enbwHz)
  return `${frames} frames of ${meanPower.length} samples, ${WINDOW_TITLES[window]} window, half overlapping; resolution bandwidth ${resolution} Hz.`
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
  wanted: Wanted & Pick<AnalysisSettings, 'fmShiftHz'>,
): RecordingAnalysis {
  const spectrum = spectrumFrom(addWelchSums(stretches.map(({ welch }) => welch)), source)
  const isSilent = spectrum.meanPower.every(power => power === 0)
  const without: string[] = isSilent ? [NO_SIGNAL] : []
  const attempt = <T>(run: () => T): T | null => orWithout(without, run)
  const peaks = spectrumPeaks(spectrum, { most: 20 })
  const sums = isSilent ? null : deviationSums(stretches)
  const deviation = sums && attempt(() => deviationFrom(sums, wanted.fmShiftHz ?? 0))
  const heardHz = deviation?.carrierHz ?? wanted.carrierHz ?? peaks[0]?.frequencyHz ?? null
  const carrierHz = isSilent ? null : heardHz
  const channel = channelAt(carrierHz, wanted.channelSpacingHz)
  const occupied = channel && attempt(() => occupiedIn(spectrum, channel, source.sampleRateHz))
  const adjacent = channel && adjacentChannelPower(spectrum, channel)
  if (channel && adjacent?.channels.length === 0) without.push(tooNarrowWords(source.sampleRateHz, channel))
  return {
    seconds: source.sampleCount / source.sampleRateHz,
    sampleRateHz: source.sampleRateHz,
    spectrum,
    peaks,
    carrierHz,
    without,
    deviation,
    occupied,
    adjacent,
    noiseFloorDb: decibels(noiseFloorPower(spectrum)),
    picture: joinPictures(stretches.map(({ picture }) => picture)),
    curve: sums && deviationCurve(sums, CURVE_POINTS),
    twoTone: wanted.twoTone && !isSilent ? attempt(() => twoTone(spectrum, searchIn(source.layout))) : null,
    words: spectrumWords(spectrum),
  }
}

/** Frame length whose resolution bandwidth comes near to what is wanted, a power of two. */
export function sizeFor(
  sampleRateHz: number,
  goal: { resolutionHz: number; enbwBins: number; sampleCount: number },
): number {
  const wanted = 2 ** Math.round(Math.log2((goal.enbwBins * sampleRateHz) / goal.resolutionHz))
  const longest = 2 ** Math.floor(Math.log2(Math.max(64, goal.sampleCount)))
  return Math.min(2 ** 20, Math.max(64, Math.min(wanted, longest)))
}
