import { type FftEngine } from '../fft'
import { noiseFloorPower } from '../spectrum/noiseFloor'
import { peakNear, spectrumPeaks } from '../spectrum/peaks'
import type { Spectrum } from '../spectrum/spectrum'
import { bandPower, binFrequencyHz } from '../spectrum/spectrum'
import { spectrumFrom, Welch } from '../spectrum/welch'
import type { FmFilters } from './fmDemodulator'
import { nearestToneHz } from './toneSquelch.table'
import { blockWeights, lockIn, weightedMean } from './lockIn'

/** What one block of demodulated signal holds, Hz of frequency swing throughout. */
export interface AudioBlock {
  seconds: number
  /** Mean frequency against the middle of the channel. */
  carrierHz: number
  /** A single tone with its harmonics makes up the modulation; null where it does not. */
  tone: ToneFit | null
  subAudible: SubAudible | null
  /** Spectral density of the phase noise, rad²/Hz; nought for a clean recording. */
  phaseNoise: number
  /** rms of the swing from the noise alone, within the audio low-pass. */
  noiseRmsHz: number
  /** rms of all the swing. */
  rmsHz: number
}

/** A tone read by fitting it and its harmonics, so that noise on top does not count. */
export interface ToneFit {
  toneHz: number
  plusHz: number
  minusHz: number
  rmsHz: number
  /** Harmonics against the tone’s own amplitude. */
  distortion: number
}

/** A tone below the voice band, as tone squelch uses. */
export interface SubAudible {
  frequencyHz: number
  /** Nearest of the usual tones, Hz; null when none is within 1.5 %. */
  usualHz: number | null
  deviationHz: number
}

const AUDIO_FROM_HZ = 280
const AUDIO_TO_HZ = 4_000
const SUB_FROM_HZ = 60
const SUB_TO_HZ = 260
const HARMONICS = 8

/** A tone counts as the whole modulation when it explains this share of the swing that is not noise. */
const TONE_SHARE = 0.9

/** Swing below this is no tone squelch, Hz. */
const LEAST_SUB_AUDIBLE_HZ = 60

/** Takes one block of demodulated signal apart. */
export function readAudioBlock(
  frequencyHz: Float64Array,
  { filters, engine }: { filters: FmFilters; engine: FftEngine },
): AudioBlock {
  const { rateHz, audioHz, channelHalfHz, noiseGainHz3 } = filters
  const weights = blockWeights(frequencyHz.length)
  const carrierHz = weightedMean(frequencyHz, weights)
  const swing = frequencyHz.map(value => value - carrierHz)
  const spectrum = audioSpectrum(swing, rateHz, engine)
  const phaseNoise = phaseNoiseOf(spectrum, Math.min(audioHz, channelHalfHz))
  const noiseRmsHz = Math.sqrt(phaseNoise * noiseGainHz3)
  const rmsHz = Math.sqrt(swing.reduce((sum, value) => sum + value * value, 0) / swing.length)
  const subAudible = subAudibleIn(swing, { weights, spectrum, rateHz, noiseRmsHz })
  return {
    seconds: frequencyHz.length / rateHz,
    carrierHz,
    subAudible,
    phaseNoise,
    noiseRmsHz,
    rmsHz,
    tone: toneIn(swing, { weights, spectrum, rateHz, audioHz, rmsHz, noiseRmsHz, subAudible }),
  }
}

/** Two-sided spectrum of a real signal: a tone of amplitude A reads (A/2)². */
function audioSpectrum(swing: Float64Array, rateHz: number, engine: FftEngine): Spectrum {
  const size = 2 ** Math.max(6, Math.floor(Math.log2(swing.length)))
  const welch = new Welch({ size, window: 'blackman-harris', overlap: 0.75 }, engine)
  const samples = new Float32Array(2 * Math.max(size, swing.length))
  for (let n = 0; n < swing.length; n++) samples[2 * n] = swing[n]!
  welch.add(samples)
  const spectrum = spectrumFrom(welch.sums(), { sampleRateHz: rateHz, centreHz: null })
  welch.release()
  return spectrum
}

/**
 * Noise after a discriminator grows with f²; its factor is the density of the phase noise, taken where no
 * voice is.
 */
function phaseNoiseOf(spectrum: Spectrum, flatToHz: number): number {
  const flattened: number[] = []
  for (let k = 0; k < spectrum.meanPower.length; k++) {
    const hz = binFrequencyHz(spectrum, k)
    if (hz > 0.6 * flatToHz && hz < 0.93 * flatToHz)
      flattened.push((2 * spectrum.meanPower[k]!) / spectrum.enbwHz / hz ** 2)
  }
  return flattened.length < 8 ? 0 : noiseFloorPower(spectrum, Float64Array.from(flattened))
}

function subAudibleIn(
  swing: Float64Array,
  {
    spectrum,
    rateHz,
    weights,
  }: { weights: Float64Array; spectrum: Spectrum; rateHz: number; noiseRmsHz: number },
): SubAudible | null {
  if (spectrum.enbwHz > 20) return null
  const peak = spectrumPeaks(spectrum, { fromHz: SUB_FROM_HZ, toHz: SUB_TO_HZ, most: 1 })[0]
  if (!peak) return null
  const part = lockIn(swing, weights, peak.frequencyHz / rateHz)
  const deviationHz = Math.hypot(part.cos, part.sin)
  const alone = deviationHz ** 2 / 4 / Math.max(1e-12, bandPower(spectrum, SUB_FROM_HZ, SUB_TO_HZ))
  if (deviationHz < LEAST_SUB_AUDIBLE_HZ || alone < 0.8) return null
  return { frequencyHz: peak.frequencyHz, deviationHz, usualHz: nearestToneHz(peak.frequencyHz) }
}

interface ToneSearch {
  weights: Float64Array
  spectrum: Spectrum
  rateHz: number
  audioHz: number
  rmsHz: number
  noiseRmsHz: number
  subAudible: SubAudible | null
}

function toneIn(
  swing: Float64Array,
  { spectrum, rateHz, audioHz, rmsHz, noiseRmsHz, subAudible, weights }: ToneSearch,
): ToneFit | null {
  const found = spectrumPeaks(spectrum, { fromHz: AUDIO_FROM_HZ, toHz: AUDIO_TO_HZ, most: 1 })[0]
  if (!found) return null
  const toneHz = (peakNear(spectrum, found.frequencyHz, 2 * spectrum.binHz) ?? found).frequencyHz
  const parts: { cos: number; sin: number }[] = []
  for (let h = 1; h <= HARMONICS && h * toneHz < audioHz; h++)
    parts.push(lockIn(swing, weights, (h * toneHz) / rateHz))
  const explained = parts.reduce((sum, { cos, sin }) => sum + (cos * cos + sin * sin) / 2, 0)
  const wanted = rmsHz ** 2 - noiseRmsHz ** 2 - (subAudible ? subAudible.deviationHz ** 2 / 2 : 0)
  if (!(explained >= TONE_SHARE * wanted) || explained === 0) return null
  const { highest, lowest } = extremes(parts)
  const [first, ...others] = parts.map(({ cos, sin }) => Math.hypot(cos, sin))
  return {
    toneHz,
    plusHz: highest,
    minusHz: -lowest,
    rmsHz: Math.sqrt(explained),
    distortion: Math.hypot(...others) / (first || 1),
  }
}

const STEPS = 720

function extremes(parts: readonly { cos: number; sin: number }[]): { highest: number; lowest: number } {
  let highest = -Infinity
  let lowest = Infinity
  for (let step = 0; step < STEPS; step++) {
    const angle = (2 * Math.PI * step) / STEPS
    const value = parts.reduce(
      (sum, { cos, sin }, i) => sum + cos * Math.cos((i + 1) * angle) + sin * Math.sin((i + 1) * angle),
      0,
    )
    highest = Math.max(highest, value)
    lowest = Math.min(lowest, value)
  }
  return { highest, lowest }
}
