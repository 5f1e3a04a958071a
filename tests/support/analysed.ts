import {
  analysisSettings,
  ASSUMED_PHASE_NOISE_DBC,
  channelFilter,
  concludeAnalysis,
  gatherStretch,
  lookThrough,
  portableFft,
  receiverInsight,
  samplesInMemory,
} from '#core/signal'

/** How a test wants its recording read. */
export interface AnalysedOptions {
  channelSpacingHz?: number
  phaseNoiseDbcPerHz?: number
  twoTone?: boolean
  /** Take the recording as it is, without a first look. */
  blind?: boolean
}

/** Samples read as the application reads a recording, in one stretch. */
export async function analysed(
  samples: Float32Array,
  sampleRateHz: number,
  {
    channelSpacingHz = 12_500,
    phaseNoiseDbcPerHz = ASSUMED_PHASE_NOISE_DBC,
    twoTone = false,
    blind = false,
  }: AnalysedOptions = {},
) {
  const source = samplesInMemory(samples, { sampleRateHz })
  const whole = { from: 0, to: source.sampleCount, engine: portableFft }
  const insight = blind
    ? null
    : receiverInsight(await lookThrough(source, whole), source, channelFilter(channelSpacingHz).channelHalfHz)
  const needs = { deviation: !twoTone, resolutionHz: twoTone ? 8 : 100, channelSpacingHz }
  const hz = insight?.signalHz ?? 0
  const settings = { ...analysisSettings(source, needs, { hz, insight }), columns: 20, rows: 16 }
  return concludeAnalysis([await gatherStretch(source, settings, whole)], source, {
    ...{ channelSpacingHz, phaseNoiseDbcPerHz, twoTone },
    carrierHz: insight ? hz : null,
    fmShiftHz: settings.fmShiftHz,
    insight: settings.insight,
  })
}
