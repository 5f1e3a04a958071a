import { type ChannelUse, type Recording, samplesOf } from '#core/format'
import {
  analysisFacts,
  analysisSettings,
  ASSUMED_PHASE_NOISE_DBC,
  blockDoubtWords,
  channelFilter,
  concludeAnalysis,
  gatherStretch,
  lookThrough,
  portableFft,
  type ReceiverInsight,
  receiverInsight,
  type RecordingAnalysis,
  type SampleSource,
  type SinadSettings,
  type SinadStretch,
  steppedBlocks,
  weightingWords,
} from '#core/signal'
import { UsageError } from './usageError'

/** How a recording is to be taken. */
export interface AnalyseOptions {
  /** Two channels are I and Q, or audio; null: as the file says. */
  as: 'iq' | 'audio' | null
  /** Which pair of I and Q, or which channel of audio, from nought. */
  channel: number
  sinad: SinadSettings
  channelSpacingHz: number | null
}

const RESOLUTION_HZ = 100

/** Audio longer than this is read as far as here, s. */
const MOST_AUDIO_S = 600
const ONLY_THE_FIRST = `SINAD is read from the first ${MOST_AUDIO_S / 60} minutes only.`

/** What the application finds in one recording: figures, and the sentences it would show. */
export async function analyseRecording(recording: Recording, options: AnalyseOptions) {
  const as = options.as ?? (recording.mayBeIq ? 'iq' : 'audio')
  const source = samplesOf(recording, channelUse(recording, as, options.channel))
  const analysis = await analysed(source, options.channelSpacingHz)
  const { name, sampleRateHz, centreHz, understood } = recording
  const isLong = as === 'audio' && source.sampleCount > MOST_AUDIO_S * sampleRateHz
  return {
    name,
    as,
    sampleRateHz,
    centreHz,
    seconds: source.sampleCount / sampleRateHz,
    understood,
    warnings: isLong ? [...recording.warnings, ONLY_THE_FIRST] : recording.warnings,
    found: as === 'iq' ? figuresOf(analysis) : audioFiguresOf(analysis),
    facts: as === 'iq' ? analysisFacts(analysis, centreHz) : [analysis.words],
    sinad: as === 'audio' ? await sinadOf(source, options.sinad) : null,
  }
}

/** What one recording came to. */
export type AnalysedRecording = Awaited<ReturnType<typeof analyseRecording>>

/** Which channels are read; those that are not in the file are refused in words. */
function channelUse({ name, format, mayBeIq }: Recording, as: 'iq' | 'audio', channel: number): ChannelUse {
  if (as === 'iq' && !mayBeIq)
    throw new UsageError(`“${name}” is not I and Q: it holds ${format.channels} channel(s) of real samples.`)
  const count = as === 'iq' ? Math.floor(format.channels / 2) : format.channels
  if (channel >= count)
    throw new UsageError(
      `“${name}” has ${count} ${as === 'iq' ? 'pair(s) of I and Q' : 'channel(s)'}, counted from 0; ` +
        `there is no ${channel}.`,
    )
  return as === 'iq' ? { kind: 'iq', pair: channel } : { kind: 'audio', channel }
}

async function analysed(source: SampleSource, channelSpacingHz: number | null): Promise<RecordingAnalysis> {
  const needs = { deviation: true, resolutionHz: RESOLUTION_HZ, channelSpacingHz }
  const insight = source.layout === 'iq' ? await insightInto(source, channelSpacingHz) : null
  const signalHz = insight?.signalHz ?? 0
  const settings = { ...analysisSettings(source, needs, { hz: signalHz, insight }), columns: 1, rows: 1 }
  const whole = { from: 0, to: source.sampleCount, engine: portableFft }
  return concludeAnalysis([await gatherStretch(source, settings, whole)], source, {
    channelSpacingHz,
    carrierHz: signalHz,
    twoTone: false,
    fmShiftHz: settings.fmShiftHz,
    insight: settings.insight,
    phaseNoiseDbcPerHz: ASSUMED_PHASE_NOISE_DBC,
  })
}

/** What a first look through tells of receiver and key-downs. */
async function insightInto(source: SampleSource, channelSpacingHz: number | null): Promise<ReceiverInsight> {
  const look = await lookThrough(source, { from: 0, to: source.sampleCount, engine: portableFft })
  return receiverInsight(look, source, channelFilter(channelSpacingHz).channelHalfHz)
}

function figuresOf(analysis: RecordingAnalysis) {
  const { noiseFloorDb, peaks, carrierHz, deviation, occupied, adjacent, transient } = analysis
  const { faults, without } = analysis
  return { noiseFloorDb, peaks, carrierHz, deviation, occupied, adjacent, transient, faults, without }
}

/** A real signal’s spectrum is mirrored about nought: one side says all, and there is no carrier. */
function audioFiguresOf({ noiseFloorDb, peaks }: RecordingAnalysis) {
  return { noiseFloorDb, peaks: peaks.filter(({ frequencyHz }) => frequencyHz > 0) }
}

async function sinadOf(source: SampleSource, settings: SinadSettings) {
  const count = Math.min(source.sampleCount, Math.round(MOST_AUDIO_S * source.sampleRateHz))
  const pairs = await source.read(0, count)
  const samples = Float64Array.from({ length: pairs.length / 2 }, (_unused, n) => pairs[2 * n]!)
  const stretches = steppedBlocks(samples, source.sampleRateHz, settings, portableFft)
  return {
    weighting: weightingWords(settings.weighting),
    toneHz: settings.toneHz,
    readS: count / source.sampleRateHz,
    stretches: stretches.map(stretchFigures),
  }
}

function stretchFigures({ fromS, toS, blocks, mean }: SinadStretch) {
  return {
    fromS,
    toS,
    mean,
    blocks: blocks.map(({ seconds, peak, parts, doubts }) => ({
      seconds,
      peak,
      ...parts,
      doubts: doubts.map(doubt => ({ ...doubt, words: blockDoubtWords(doubt) })),
    })),
  }
}
