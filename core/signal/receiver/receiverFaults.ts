import type { SampleSource } from '../sampleSource'
import { type SpectrumPeak, spectrumPeaks } from '../spectrum/peaks'
import type { Spectrum } from '../spectrum/spectrum'
import { spectrumFrom } from '../spectrum/welch'
import { type Complex, ellipseOf, imageOf, type ReceiverTurns } from './ellipse'
import { addEnvelopes, type EnvelopeSums, movedBy } from './envelopeSums'
import { type KeyedTimes, keyedTimes } from './keyedTimes'
import { clippedShareOf } from './levelCounts'
import { keyedEnvelope, type LookSums } from './lookThrough'

/** What is put right in every sample of a recording: x becomes (x − spike) − image·(x − spike)*. */
export interface SampleCorrection {
  spike: Complex
  image: Complex
}

/** What the image of a signal is known to be. */
export type ImageKnown =
  /** It was seen and taken off; what may be left stands this far under the signal. */
  | { kind: 'taken-off'; seenDb: number; leftDb: number }
  /** It was looked for, and is lower than this. */
  | { kind: 'below'; leftDb: number }
  /** Nothing in the recording tells; it is taken as this at most. */
  | { kind: 'unknown'; leftDb: number }

/** What a first look through a recording of I and Q tells of it, for its analysis. */
export interface ReceiverInsight {
  /** The strongest signal that is not the receiver’s own spike, Hz from the middle; null where nothing stands out. */
  signalHz: number | null
  correction: SampleCorrection
  image: ImageKnown
  /** The receiver’s own spike in the middle, dB of full scale; null where none was seen. */
  spikeDb: number | null
  /** Share of I and Q on a flat top. */
  clippedShare: number
  times: KeyedTimes
}

/** A spike this weak is none, dB of full scale. */
const LEAST_SPIKE_DB = -90

/** An image must stand out of its own uncertainty by so many times. */
const SURE = 4

/** What is left of an image that is taken off: it differs with frequency (common practice, no source). */
const LEFT_SHARE = 0.1

/** Image of a receiver nobody put right, dB under the signal, where nothing tells (common practice, no source). */
const ASSUMED_IMAGE_DB = -30

/** An image stronger than this is no fault of a receiver but of the fit. */
const MOST_IMAGE = 0.3

/** Bins either side of the middle that a spike reaches in a look. */
const SPIKE_BINS = 5

/** Fewer stretches do not tell how far they differ. */
const LEAST_STRETCHES = 4

/** A peak whose mirror stands as high within this is a pair of sidebands, dB. */
const PAIR_DB = 3

const NOTHING: Complex = { re: 0, im: 0 }

/** What the looks through all stretches of a recording come to. */
export function receiverInsight(
  look: LookSums,
  source: Pick<SampleSource, 'sampleRateHz' | 'sampleCount' | 'centreHz'>,
  channelHalfHz: number,
): ReceiverInsight {
  const times = keyedTimes(look, source)
  const keyed = keyedEnvelope(look.envelopes, times.thresholdPower)
  const all = addEnvelopes(keyed)
  const turns = ellipseOf(all)
  const spectrum = spectrumFrom(look.welch, source)
  const mean = { re: all.i / all.count, im: all.q / all.count }
  const signal = signalIn(spectrum, turns?.spike ?? mean)
  const awayFromMiddle = signal !== null && Math.abs(signal.frequencyHz) > channelHalfHz
  const found = turns ?? (awayFromMiddle ? fromMeans(keyed, all) : null)
  const image = imageKnown(found)
  const spike = found && levelDb(found.spike) > LEAST_SPIKE_DB ? found.spike : NOTHING
  return {
    signalHz: signal?.frequencyHz ?? null,
    correction: { spike, image: image.kind === 'taken-off' ? found!.image : NOTHING },
    image,
    spikeDb: spike === NOTHING ? null : levelDb(spike),
    clippedShare: clippedShareOf(look.levels),
    times,
  }
}

/** The image in decibels: what was seen, and what is left of it. */
function imageKnown(found: ReceiverTurns | null): ImageKnown {
  if (!found) return { kind: 'unknown', leftDb: ASSUMED_IMAGE_DB }
  const size = Math.hypot(found.image.re, found.image.im)
  const doubt = 2 * found.imageUncertainty
  if (size > MOST_IMAGE) return { kind: 'unknown', leftDb: ASSUMED_IMAGE_DB }
  if (size < SURE * found.imageUncertainty) return { kind: 'below', leftDb: decibel(size + doubt) }
  return { kind: 'taken-off', seenDb: decibel(size), leftDb: decibel(Math.hypot(LEFT_SHARE * size, doubt)) }
}

/**
 * Spike and image from the means of x and of x², where no signal stands in the middle: everything else averages out.
 * How far the stretches differ tells how sure.
 */
function fromMeans(keyed: readonly EnvelopeSums[], all: EnvelopeSums): ReceiverTurns | null {
  if (keyed.length < LEAST_STRETCHES) return null
  const spike = { re: all.i / all.count, im: all.q / all.count }
  const squareOf = (sums: EnvelopeSums): Complex => {
    const { ii, qq, iq } = movedBy(sums, spike)
    return { re: (ii - qq) / (ii + qq), im: (2 * iq) / (ii + qq) }
  }
  const seen = squareOf(all)
  if (!Number.isFinite(seen.re)) return null
  const scatter = keyed.map(squareOf).map(({ re, im }) => (re - seen.re) ** 2 + (im - seen.im) ** 2)
  const variance = scatter.reduce((sum, one) => sum + one, 0) / (keyed.length - 1) / keyed.length
  return { spike, image: imageOf(seen), imageUncertainty: Math.sqrt(variance) / 2 }
}

/**
 * The strongest signal that is not the spike in the middle. What stands there is a signal where it is more than what
 * stands still, where nothing else stands out, or where the next is one of a pair of sidebands.
 */
function signalIn(spectrum: Spectrum, still: Complex): SpectrumPeak | null {
  const [strongest, ...others] = spectrumPeaks(spectrum, { most: 20 })
  if (!strongest || Math.abs(strongest.frequencyHz) > SPIKE_BINS * spectrum.binHz) return strongest ?? null
  const [next] = others
  if (!next || still.re ** 2 + still.im ** 2 < strongest.power / 2) return strongest
  const isPair = others.some(
    ({ frequencyHz, levelDb: level }) =>
      Math.abs(frequencyHz + next.frequencyHz) < 2 * spectrum.binHz &&
      Math.abs(level - next.levelDb) < PAIR_DB,
  )
  return isPair ? strongest : next
}

const decibel = (amplitude: number) => 20 * Math.log10(Math.max(1e-9, amplitude))

const levelDb = ({ re, im }: Complex) => decibel(Math.hypot(re, im))
