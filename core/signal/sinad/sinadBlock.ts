import { CoreError } from '../../errors'
import type { FftEngine } from '../fft'
import { AUDIO_BANDS, audioPowerGain, type AudioWeighting } from './audioFilter'
import type { BlockDoubt } from './blockDoubt'
import { clippedShare, heightOf } from './clippedShare'
import { type Audio, decimated } from './decimated'
import { mainsHum } from './mainsHum'
import { phasorsOf } from './phasors'
import {
  densityNear,
  LINE_BINS,
  noiseBandwidthHz,
  type PowerDensity,
  powerDensity,
  weightedPower,
} from './powerDensity'
import { fitSine, type SineFit, withoutSine } from './sineFit'
import { unsteadiness } from './steadiness'

/** How a block is read. */
export interface SinadSettings {
  weighting: AudioWeighting
  /** Tone that the generator sends, Hz. */
  toneHz: number
}

/** Usual: 1 kHz through 300 Hz to 3 kHz. */
export const SINAD_DEFAULTS: SinadSettings = {
  weighting: { filter: 'voice', deEmphasisS: null },
  toneHz: 1000,
}

/** What one block of received audio comes to. */
export interface SinadBlock {
  seconds: number
  /** Powers through the filter, full scale 1: null where there is no tone to tell apart. */
  parts: SinadParts | null
  /** Power of everything through the filter, full scale 1. */
  totalPower: number
  /** Largest sample, of full scale. */
  peak: number
  doubts: BlockDoubt[]
}

/** Tone, distortion and noise of a block, through the filter. */
export interface SinadParts {
  /** 10·log10((S+N+D)/(N+D)), dB. */
  sinadDb: number
  /** What one block leaves open, dB. */
  standardUncertaintyDb: number
  toneHz: number
  signalPower: number
  distortionPower: number
  noisePower: number
  /** rms of the harmonics in the band against the tone’s, 0 to 1. */
  distortion: number
  /** Hum of the mains, as a share of noise and distortion; null where none stands out. */
  hum: { mainsHz: 50 | 60; share: number } | null
}

/** A block shorter than this holds too little, s. */
export const LEAST_BLOCK_S = 0.15

/** Below this rms there is nothing: −75 dB of full scale. */
const SILENCE_RMS = 10 ** (-75 / 20)

/** A tone stands this many times above the noise of a line as narrow as the block allows. */
const TONE_STANDS_OUT = 30

/** A tone further from the wanted one than this is another. */
const WRONG_TONE_SHARE = 0.02

/** Hum above this share of what counts as noise is told. */
const HUM_SHARE = 0.1

/** Clipped samples above this share are told. */
const CLIPPED_SHARE = 2e-4

const HARMONICS = 10

/** Length of the stretches over which a tone’s level is followed, s. */
const STRETCH_S = 0.05

/** Where a tone is looked for that is not the wanted one, Hz. */
const SEARCH = { fromHz: 200, toHz: 4000 }

/**
 * Reads SINAD from one block of audio: the tone by a least-squares fit, what remains inside the filter is noise
 * and distortion.
 * @param samples - full scale ±1.
 * @throws CoreError `too-few` for a block under 0.15 s.
 * @see receivers.md, section 2; IEEE Std 1057 (from memory) for the fit.
 */
export function readSinad(
  samples: Float64Array,
  sampleRateHz: number,
  settings: SinadSettings,
  engine: FftEngine,
): SinadBlock {
  const seconds = samples.length / sampleRateHz
  if (!(seconds >= LEAST_BLOCK_S)) throw tooShort(seconds)
  const slow = tooSlow(sampleRateHz, settings)
  if (slow) throw slow
  const audio = { samples, sampleRateHz }
  return readDecimated(audio, decimated(audio, settings.weighting.filter), settings, engine)
}

/**
 * The same for a block whose decimated audio is there already.
 * @param audio - the block as it came: it tells silence and clipping.
 * @param low - the same block at the rate of `decimated`.
 */
export function readDecimated(
  audio: Audio,
  low: Audio,
  settings: SinadSettings,
  engine: FftEngine,
): SinadBlock {
  const seconds = audio.samples.length / audio.sampleRateHz
  const height = heightOf(audio.samples)
  const { rms, peak } = height
  const share = clippedShare(audio.samples, height, audio.sampleRateHz / settings.toneHz)
  const clipping: BlockDoubt[] = share > CLIPPED_SHARE ? [{ kind: 'clipping', share }] : []
  if (rms < SILENCE_RMS) return { seconds, peak, parts: null, totalPower: 0, doubts: [{ kind: 'silence' }] }
  const { samples, sampleRateHz } = low
  const asked = { sampleRateHz, weighting: settings.weighting, engine }
  const whole = powerDensity(samples, asked)
  const startHz = toneNear(whole, settings.toneHz, seconds) ?? strongestTone(whole, sampleRateHz)
  const fit = fitSine(samples, { sampleRateHz, startHz })
  const rest = withoutSine(samples, sampleRateHz, fit)
  const density = powerDensity(rest, asked)
  const around = densityNear(density, fit.frequencyHz)
  const totalPower = weightedPower(whole, settings.weighting)
  if (fit.amplitude ** 2 / 2 < (TONE_STANDS_OUT * around) / seconds)
    return { seconds, peak, parts: null, totalPower, doubts: [{ kind: 'no-tone' }, ...clipping] }
  const parts = partsOf({ fit, rest, density, sampleRateHz, weighting: settings.weighting })
  const doubts = [...clipping, ...toneDoubts({ samples, sampleRateHz, fit, parts, around }, settings)]
  return { seconds, peak, parts, totalPower, doubts }
}

/** A tone is told from what lies beside it with this many samples to each of its turns. */
const LEAST_SAMPLES_A_TURN = 2.5

/** The refusal of samples that come too seldom for a tone; null where they do not. */
export function tooSlow(sampleRateHz: number, { toneHz }: Pick<SinadSettings, 'toneHz'>): CoreError | null {
  const min = LEAST_SAMPLES_A_TURN * toneHz
  if (sampleRateHz >= min) return null
  return new CoreError(
    'too-few',
    `${Math.round(sampleRateHz)} samples a second hold no tone of ${toneHz} Hz: ${min} and more.`,
    { name: 'sampleRateHz', got: sampleRateHz, min },
  )
}

/** A block too short to be read. */
export function tooShort(seconds: number): CoreError {
  return new CoreError(
    'too-few',
    `A block of ${seconds.toFixed(2)} s is too short: ${LEAST_BLOCK_S} s and more.`,
    {
      name: 'seconds',
      got: seconds,
      min: LEAST_BLOCK_S,
    },
  )
}

/** The wanted tone where a line stands near it; null where none does. */
function toneNear(density: PowerDensity, toneHz: number, seconds: number): number | null {
  const around = densityNear(density, toneHz, WRONG_TONE_SHARE * toneHz + 4 * density.binHz)
  const near = highestIn(density, toneHz * (1 - WRONG_TONE_SHARE), toneHz * (1 + WRONG_TONE_SHARE))
  const lineHz = LINE_BINS * density.binHz
  return near.value > around * (1 + (LIKELY * TONE_STANDS_OUT) / (seconds * lineHz)) ? near.hz : null
}

/** A line of this share of what a tone needs is looked at more closely. */
const LIKELY = 0.6

function strongestTone(density: PowerDensity, sampleRateHz: number): number {
  return highestIn(density, SEARCH.fromHz, Math.min(SEARCH.toHz, 0.45 * sampleRateHz)).hz
}

/** The highest point of a density, between bins by the balance of its neighbours. */
function highestIn({ density, binHz }: PowerDensity, fromHz: number, toHz: number) {
  let best = Math.max(1, Math.round(fromHz / binHz))
  for (let k = best; k * binHz <= toHz && k < density.length - 1; k++)
    if (density[k]! > density[best]!) best = k
  const [left, middle, right] = [density[best - 1]!, density[best]!, density[best + 1]!]
  const sum = left + middle + right
  const offset = sum > 0 ? (right - left) / sum : 0
  return { hz: (best + offset) * binHz, value: middle }
}

interface Fitted {
  fit: SineFit
  rest: Float64Array
  density: PowerDensity
  sampleRateHz: number
  weighting: AudioWeighting
}

function partsOf({ fit, rest, density, sampleRateHz, weighting }: Fitted): SinadParts {
  const { frequencyHz: toneHz, amplitude } = fit
  const seconds = rest.length / sampleRateHz
  const signalPower = (amplitude ** 2 / 2) * audioPowerGain(weighting, toneHz)
  const restPower = weightedPower(density, weighting)
  const harmonics = harmonicPower({ rest, density, sampleRateHz, weighting }, toneHz)
  const distortionPower = Math.min(harmonics.weighted, restPower)
  const hum = mainsHum(rest, { sampleRateHz, weighting, density, toneHz })
  return {
    sinadDb: 10 * Math.log10((signalPower + restPower) / restPower),
    standardUncertaintyDb: blockUncertaintyDb({ density, weighting, seconds, signalPower, restPower }),
    toneHz,
    signalPower,
    distortionPower,
    noisePower: restPower - distortionPower,
    distortion: Math.sqrt(harmonics.plain / (amplitude ** 2 / 2)),
    hum: hum && { mainsHz: hum.mainsHz, share: Math.min(1, hum.weightedPower / restPower) },
  }
}

/** Power of the tone’s harmonics inside the band: as they are, and through the filter. */
function harmonicPower(
  { rest, density, sampleRateHz, weighting }: Omit<Fitted, 'fit'>,
  toneHz: number,
): { plain: number; weighted: number } {
  const toHz = Math.min(AUDIO_BANDS[weighting.filter].toHz, 0.48 * sampleRateHz)
  const found = { plain: 0, weighted: 0 }
  for (let h = 2; h <= HARMONICS && h * toneHz <= toHz; h++) {
    const { re, im } = phasorsOf(rest, (h * toneHz) / sampleRateHz, rest.length)
    const noise = (densityNear(density, h * toneHz, 4 * density.binHz) * sampleRateHz) / rest.length
    const power = Math.max(0, (re[0]! ** 2 + im[0]! ** 2) / 2 - noise)
    found.plain += power
    found.weighted += power * audioPowerGain(weighting, h * toneHz)
  }
  return found
}

/**
 * What one block leaves open: noise is estimated from 2·B·T independent values, or from the scatter of its
 * frames where that is larger (clicks near threshold).
 */
function blockUncertaintyDb(block: {
  density: PowerDensity
  weighting: AudioWeighting
  seconds: number
  signalPower: number
  restPower: number
}): number {
  const { density, weighting, seconds, signalPower, restPower } = block
  const ofNoise = 1 / Math.sqrt(Math.max(1, noiseBandwidthHz(density, weighting) * seconds))
  const { framePower, independentFrames } = density
  const mean = framePower.reduce((sum, one) => sum + one, 0) / framePower.length
  const squares = framePower.reduce((sum, one) => sum + (one - mean) ** 2, 0)
  const scatter = Math.sqrt(squares / Math.max(1, framePower.length - 1)) / mean
  const ofFrames = framePower.length < 4 ? 0 : scatter / Math.sqrt(independentFrames)
  return ((10 / Math.LN10) * Math.max(ofNoise, ofFrames) * signalPower) / (signalPower + restPower)
}

interface Told {
  samples: Float64Array
  sampleRateHz: number
  fit: SineFit
  parts: SinadParts
  /** Density of the noise around the tone. */
  around: number
}

function toneDoubts(
  { samples, sampleRateHz, fit, parts, around }: Told,
  { toneHz }: SinadSettings,
): BlockDoubt[] {
  const doubts: BlockDoubt[] = []
  if (Math.abs(fit.frequencyHz - toneHz) > WRONG_TONE_SHARE * toneHz)
    doubts.push({ kind: 'wrong-tone', toneHz: fit.frequencyHz, wantedHz: toneHz })
  const { hum } = parts
  if (hum && hum.share > HUM_SHARE) doubts.push({ kind: 'hum', ...hum })
  const stretch = Math.round(STRETCH_S * sampleRateHz)
  const { re, im } = phasorsOf(samples, fit.frequencyHz / sampleRateHz, stretch)
  const amplitudes = re.map((value, k) => Math.hypot(value, im[k]!))
  const noise = Math.sqrt(around / STRETCH_S)
  const moved = unsteadiness(amplitudes, STRETCH_S, noise)
  if (moved) doubts.push(moved)
  return doubts
}
