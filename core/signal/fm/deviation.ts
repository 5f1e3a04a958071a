import { CoreError } from '../../errors'
import type { SubAudible, ToneFit } from './audioBlock'
import { carrierToNoiseDb, FM_THRESHOLD_DB, NO_SIGNAL_BELOW_DB } from './carrierToNoise'
import { carrierOver, driftOf } from './drift'
import type { BoundBy, DeviationFound, DeviationReceiver } from './deviationFound'
import type { DeviationSums, PoweredBlock } from './deviationMeter'
import { besidesWords, secondsWords } from './deviationWords'
import { isInside, keyedBuckets, keyedThreshold } from './keyedBuckets'

const NO_RECEIVER: DeviationReceiver = { steady: null, isClipped: false, addsHz: () => 0 }

const GAIN_DOUBT = 0.001

/** What is left open where the channel filter takes sidebands off: 8 % at most for tones of 0.4 to 3 kHz. */
const CUT_DOUBT = 0.04

/** How far the demodulator’s own gain may be off, as a share. */
const gainDoubt = (halfHz: number, { cutsFromHz }: Pick<DeviationFound, 'cutsFromHz'>) =>
  halfHz > cutsFromHz ? CUT_DOUBT : GAIN_DOUBT

/**
 * Sums up a demodulated recording: only what was keyed counts, its edges left out. Where one tone is the
 * modulation it is fitted
 * with its harmonics, so noise on top does not count; else the extremes stand, with how far noise may have
 * pushed them.
 * @throws CoreError `too-few` when there is no keyed stretch long enough.
 */
export function deviationFrom(
  sums: DeviationSums,
  shiftHz: number,
  receiver: DeviationReceiver = NO_RECEIVER,
): DeviationFound {
  const { blocks, buckets, filters } = sums
  const threshold = keyedThreshold(buckets.power)
  const keyed = keyedBuckets(buckets, threshold, receiver.steady)
  const whole = blocks.filter(
    ({ leastPower, startS, seconds }) =>
      leastPower >= threshold && isInside(receiver.steady, { fromS: startS, toS: startS + seconds }),
  )
  const used = whole.length > 0 ? whole : [...blocks].sort((a, b) => b.leastPower - a.leastPower).slice(0, 1)
  const usedS = keyed.length * buckets.bucketS
  if (used.length === 0 || keyed.length === 0)
    throw new CoreError(
      'too-few',
      'No carrier long enough was found in this channel. A tenth of a second keyed is needed; ' +
        'was the right frequency set?',
      { name: 'keyed time', got: usedS, min: 0.1 },
    )
  const aboveNoiseDb = carrierToNoiseDb(average(used, ({ powerVariance }) => powerVariance))
  if (aboveNoiseDb < NO_SIGNAL_BELOW_DB)
    throw new CoreError(
      'too-few',
      'There is no signal in this channel that stands above its noise. Was the right frequency set?',
      { name: 'carrier over noise, dB', got: aboveNoiseDb, min: FM_THRESHOLD_DB },
    )
  const boundBy = boundOf(aboveNoiseDb, receiver)
  const mean = average(used, ({ carrierHz }) => carrierHz)
  const driftHz = driftOf(used)
  const noiseRmsHz = average(used, block => block.noiseRmsHz)
  const tones = used.flatMap(({ tone }) => (tone ? [tone] : []))
  const subs = used.flatMap(({ subAudible }) => (subAudible ? [subAudible] : []))
  const subAudible = subs.length * 2 > used.length ? joinSubAudible(subs) : null
  const keyedPart: KeyedPart = {
    common: {
      subAudible,
      carrierHz: mean + shiftHz,
      // What moved through so much was anywhere in it.
      carrierUncertaintyHz: Math.hypot(carrierUncertainty(used), driftHz / Math.sqrt(12)),
      driftHz,
      carrierToNoiseDb: aboveNoiseDb,
      boundBy,
      isUpperBound: boundBy !== null,
      receiverAddsHz: receiver.addsHz(mean + shiftHz, filters),
      usedS,
      noiseRmsHz,
      channelHalfHz: filters.channelHalfHz,
      audioLowPassHz: filters.audioHz,
      cutsFromHz: filters.cutsFromHz,
    },
    used,
    subHz: subAudible?.deviationHz ?? 0,
  }
  const furthest = ofExtremes(keyedPart, rawExtremes(sums, keyed, carrierOver(used)))
  if (tones.length * 2 <= used.length) return furthest
  const tone = ofOneTone(keyedPart, tones)
  return swingsFurther(furthest, tone) ? besideItsTone(furthest, tone, tones) : tone
}

/** A weak carrier is the first to be said: it may be both. */
function boundOf(aboveNoiseDb: number, { isClipped }: DeviationReceiver): BoundBy | null {
  if (aboveNoiseDb < FM_THRESHOLD_DB) return 'clicks'
  return isClipped ? 'clipping' : null
}

/** Further than the tone by more than this share, and than noise may have pushed it by this many times. */
const FURTHER_SHARE = 0.03
const FURTHER_THAN_NOISE = 1.5

/** A burst, an overshoot: something swings further than the tone that is most of the modulation. */
function swingsFurther(furthest: DeviationFound, tone: DeviationFound): boolean {
  const beyondHz = Math.max(furthest.plusHz - tone.plusHz, furthest.minusHz - tone.minusHz)
  return beyondHz > FURTHER_SHARE * tone.halfPeakToPeakHz + FURTHER_THAN_NOISE * furthest.noiseAddsHz
}

/** What swings furthest counts, and the tone’s own figure stands beside it. */
function besideItsTone(
  furthest: DeviationFound,
  tone: DeviationFound,
  tones: readonly ToneFit[],
): DeviationFound {
  // Of its seconds the middle one: the burst lies in one of them.
  const swings = tones.map(({ plusHz, minusHz }) => (plusHz + minusHz) / 2).sort((a, b) => a - b)
  const toneAloneHz = swings[swings.length >> 1]!
  return {
    ...furthest,
    toneHz: tone.toneHz,
    distortion: tone.distortion,
    toneAloneHz,
    words:
      `${furthest.words} The tone that is most of it, fitted alone, ` +
      `swings ${Math.round(toneAloneHz)} Hz: something else swings further.`,
  }
}

/** What was keyed of a recording, and what is said of it however its deviation is found. */
interface KeyedPart {
  common: Pick<
    DeviationFound,
    | 'subAudible'
    | 'carrierHz'
    | 'carrierUncertaintyHz'
    | 'driftHz'
    | 'carrierToNoiseDb'
    | 'boundBy'
    | 'isUpperBound'
    | 'receiverAddsHz'
    | 'usedS'
    | 'noiseRmsHz'
    | 'channelHalfHz'
    | 'audioLowPassHz'
    | 'cutsFromHz'
  >
  used: readonly PoweredBlock[]
  /** Deviation of a tone below the audio, Hz; 0 without one. */
  subHz: number
}

/** One tone is the modulation: it is fitted with its harmonics, and noise on top does not count. */
function ofOneTone({ common, used, subHz }: KeyedPart, tones: readonly ToneFit[]): DeviationFound {
  const plus = meanOf(tones, tone => tone.plusHz)
  const minus = meanOf(tones, tone => tone.minusHz)
  const half = (plus + minus) / 2
  const seconds = used.reduce((sum, { seconds: s }) => sum + s, 0)
  return {
    ...common,
    method: 'tone',
    toneAloneHz: null,
    plusHz: plus + subHz,
    minusHz: minus + subHz,
    halfPeakToPeakHz: half + subHz,
    rmsHz: Math.hypot(
      meanOf(tones, tone => tone.rmsHz),
      subHz / Math.SQRT2,
    ),
    noiseAddsHz: 0,
    audioHz: half,
    toneHz: meanOf(tones, ({ toneHz }) => toneHz),
    distortion: meanOf(tones, ({ distortion }) => distortion),
    standardUncertaintyHz: Math.hypot(
      gainDoubt(half, common) * half,
      fitNoise(used, tones[0]!.toneHz, seconds),
    ),
    words:
      `One tone, fitted with its harmonics over ${secondsWords(common.usedS)} of keyed signal: ` +
      `noise on top does not count. ${besidesWords(common)}`,
  }
}

/** Anything else: the extremes stand, with how far noise may have pushed them. */
function ofExtremes(
  { common, used, subHz }: KeyedPart,
  { plusHz, minusHz }: { plusHz: number; minusHz: number },
): DeviationFound {
  const half = (plusHz + minusHz) / 2
  const noiseAddsHz =
    common.noiseRmsHz * noisePush(common.usedS, Math.min(common.audioLowPassHz, common.channelHalfHz)) +
    common.receiverAddsHz
  const meanSquare = average(used, block => block.rmsHz ** 2) - common.noiseRmsHz ** 2
  return {
    ...common,
    method: 'extremes',
    toneAloneHz: null,
    plusHz,
    minusHz,
    halfPeakToPeakHz: half,
    rmsHz: Math.sqrt(Math.max(0, meanSquare)),
    noiseAddsHz,
    toneHz: null,
    distortion: null,
    audioHz: Math.max(0, half - subHz),
    standardUncertaintyHz: Math.hypot(gainDoubt(half, common) * half, noiseAddsHz / Math.sqrt(12)),
    words:
      `The furthest moments of ${secondsWords(common.usedS)} of keyed signal; ` +
      `noise${common.receiverAddsHz >= 1 ? ' and the receiver’s image' : ''} may have pushed them ` +
      `out by up to ${Math.round(noiseAddsHz)} Hz. ${besidesWords(common)}`,
  }
}

function joinSubAudible(seconds: readonly SubAudible[]): SubAudible & { standardUncertaintyHz: number } {
  const count = seconds.length
  const deviationHz = seconds.reduce((sum, one) => sum + one.deviationHz, 0) / count
  const spread =
    count > 1
      ? Math.sqrt(
          seconds.reduce((sum, one) => sum + (one.deviationHz - deviationHz) ** 2, 0) / (count - 1) / count,
        )
      : 0
  return { ...seconds[0]!, deviationHz, standardUncertaintyHz: Math.hypot(GAIN_DOUBT * deviationHz, spread) }
}

/**
 * How far Gaussian noise reaches at most, in times its rms, over so many independent moments: √(2 ln n), and about
 * what the highest of them scatters by.
 */
function noisePush(seconds: number, bandHz: number): number {
  return Math.sqrt(2 * Math.log(Math.max(Math.E, 2 * bandHz * seconds))) + HIGHEST_SCATTERS
}

/** Scatter of the highest of thousands of moments, in times their rms: π/√6 over √(2 ln n). */
const HIGHEST_SCATTERS = 0.3

function rawExtremes(
  { buckets }: DeviationSums,
  keyed: readonly number[],
  carrierHz: (atS: number) => number,
): { plusHz: number; minusHz: number } {
  let plusHz = -Infinity
  let minusHz = -Infinity
  for (const k of keyed) {
    const middleHz = carrierHz(k * buckets.bucketS)
    plusHz = Math.max(plusHz, buckets.highestHz[k]! - middleHz)
    minusHz = Math.max(minusHz, middleHz - buckets.lowestHz[k]!)
  }
  return { plusHz, minusHz }
}

function meanOf<T>(all: readonly T[], pick: (one: T) => number): number {
  return all.reduce((sum, one) => sum + pick(one), 0) / all.length
}

/** Mean over the time of the blocks. */
function average(blocks: readonly PoweredBlock[], pick: (block: PoweredBlock) => number): number {
  const total = blocks.reduce((sum, { seconds }) => sum + seconds, 0)
  return blocks.reduce((sum, block) => sum + block.seconds * pick(block), 0) / total
}

/** Of a fitted phase slope, from the density of the phase noise: √(6 S/T³)/2π for one stretch of T. */
function carrierUncertainty(blocks: readonly PoweredBlock[]): number {
  const each = blocks.map(
    ({ phaseNoise, seconds }) => Math.sqrt((6 * phaseNoise) / seconds ** 3) / (2 * Math.PI),
  )
  return Math.max(0.01, Math.sqrt(each.reduce((sum, u) => sum + u * u, 0)) / blocks.length)
}

/** Of a fitted tone: the noise’s density at the tone, in the narrow band the fit lets through. */
function fitNoise(blocks: readonly PoweredBlock[], toneHz: number, seconds: number): number {
  return Math.sqrt((2 * 2 * average(blocks, ({ phaseNoise }) => phaseNoise) * toneHz ** 2) / seconds)
}
