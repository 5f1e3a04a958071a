export { psophometricWeightDb } from './psophometricWeight'
export { PSOPHOMETRIC_POINTS } from './psophometric.table'
export {
  WINDOW_TITLES,
  windowFacts,
  windowOf,
  windowResponse,
  type WindowFacts,
  type WindowName,
} from './window'
export { portableFft, type ComplexFft, type FftEngine } from './fft'
export { fastFft, type FastFftModule } from './fastFft'
export {
  forEachSlice,
  ReadCancelled,
  samplesInMemory,
  type ReadProgress,
  type SampleSource,
} from './sampleSource'
export { partOfSamples, partRange, partWords, samplesOfPart, type SamplePart } from './samplePart'
export {
  averagingUncertaintyDb,
  bandPower,
  binFrequencyHz,
  decibels,
  densityDbPerHz,
  powerSpectrumDb,
  type Spectrum,
} from './spectrum/spectrum'
export { addWelchSums, spectrumFrom, Welch, type WelchSettings, type WelchSums } from './spectrum/welch'
export { noiseFloorPower } from './spectrum/noiseFloor'
export { peakNear, spectrumPeaks, type PeakSearch, type SpectrumPeak } from './spectrum/peaks'
export { joinPictures, TimeFrequency, type TimeFrequencyPicture } from './spectrum/timeFrequency'
export { convolveEven } from './filter/convolve'
export { lowPass, lowPassSlope, STOP_BAND_DB } from './filter/lowPass'
export { Decimator, type ChannelFilter } from './filter/decimator'
export { FmDemodulator, fmFilters, type FmSettings } from './fm/fmDemodulator'
export { readAudioBlock, type AudioBlock, type SubAudible, type ToneFit } from './fm/audioBlock'
export { DeviationMeter, joinDeviation, type DeviationSums } from './fm/deviationMeter'
export { deviationFrom } from './fm/deviation'
export { type DeviationFound } from './fm/deviationFound'
export { deviationCurve, type DeviationCurve } from './fm/deviationCurve'
export { nearestToneHz, TONE_SQUELCH_HZ } from './fm/toneSquelch.table'
export { CARRIER_NULLS, carsonBandwidthHz, deviationAtNullHz, nullToneHz } from './measure/carson'
export { occupiedBandwidth, type OccupiedBandwidth } from './measure/occupiedBandwidth'
export {
  adjacentChannelPower,
  adjacentFilterHz,
  type AdjacentChannelPower,
  type ChannelPower,
} from './measure/adjacentChannelPower'
export { PEP_ABOVE_MEAN_DB, TONE_BELOW_PEP_DB, twoTone, type ImdLine, type TwoTone } from './measure/twoTone'
export { combOf, combOfFigures, type CombTooth } from './measure/comb'
export { concludeAnalysis, type RecordingAnalysis, type Wanted } from './analyse'
export { gatherStretch, stretchesOf, type AnalysisSettings, type GatheredStretch } from './gatherStretch'
export { analysisSettings, channelFilter, type AnalysisNeeds } from './analysisSettings'
export { sizeFor } from './frameSize'
export { joinLooks, lookStretches, lookThrough, type LookSums } from './receiver/lookThrough'
export { receiverInsight, type ImageKnown, type ReceiverInsight } from './receiver/receiverFaults'
export { correctSamples } from './receiver/correctSamples'
export { keyedTimes, type KeyedTimes } from './receiver/keyedTimes'
export { faultWords, type RecordingFault } from './recordingFaults'
export { ASSUMED_PHASE_NOISE_DBC } from './measure/receiverAdds'
export { type TransientPower } from './measure/transientPower'
export { zoomSpectrum, type ZoomSettings } from './zoom'
export { analysisFacts } from './analysisFacts'
export { spectrumCurve, type SpectrumCurve } from './curves'
export {
  AUDIO_BANDS,
  AUDIO_FILTERS,
  AUDIO_FILTER_TITLES,
  audioPowerGain,
  weightingWords,
  type AudioFilter,
  type AudioWeighting,
} from './sinad/audioFilter'
export { fitSine, withoutSine, type SineFit } from './sinad/sineFit'
export {
  readSinad,
  SINAD_DEFAULTS,
  type SinadBlock,
  type SinadParts,
  type SinadSettings,
} from './sinad/sinadBlock'
export { blockDoubtWords, type BlockDoubt } from './sinad/blockDoubt'
export { steppedBlocks, type SinadStretch } from './sinad/steppedBlocks'
export { liveBlocks, type LiveBlocks, type LiveReport, type SteadyMean } from './sinad/liveBlocks'
export {
  filteredPower,
  quieting,
  signalToNoise,
  type BlockRatio,
  type FilteredNoise,
} from './sinad/signalToNoise'
