import { CoreError } from '../../errors'
import { convolveInside } from '../filter/convolve'
import { Decimator } from '../filter/decimator'
import { tapsResponse } from '../filter/tapsResponse'
import { lowPassSlope } from '../filter/lowPass'

/** Audio low-pass of the deviation meter, Hz (handbook, section 7: 15 kHz). */
const AUDIO_LOW_PASS_HZ = 15_000

/** Slowest sampling a deviation can be read from, Hz: the audio low-pass must fit. */
const LEAST_FM_RATE_HZ = 20_000

/** Which channel of a recording is demodulated. */
export interface FmSettings {
  sampleRateHz: number
  /** Middle of the channel relative to the middle of the recording, Hz. */
  shiftHz: number
  /** Half the width of the channel filter, Hz. */
  channelHalfHz: number
  /** Where a neighbouring channel begins, Hz from the middle: from here on nothing passes; null where none is known. */
  neighbourFromHz?: number | null
}

/** Filters as they come out for a recording’s rate. */
export interface FmFilters {
  rateHz: number
  factor: number
  channelHalfHz: number
  audioHz: number
  /** A swing further than this loses sidebands in the channel filter, Hz. */
  cutsFromHz: number
  /** Mean square of the frequency, Hz², that white phase noise of 1 rad²/Hz before the filters comes to: Hz³. */
  noiseGainHz3: number
}

/** Half the width of the first filter where a second one follows, Hz. */
const WIDE_HALF_HZ = 15_000

/** Rate aimed at after the channel filter, Hz. */
const AIM_RATE_HZ = 60_000

/**
 * The filters that suit a recording.
 * @throws CoreError `out-of-range` when it is sampled too slowly for a deviation.
 */
export function fmFilters(settings: FmSettings): Omit<FmFilters, 'noiseGainHz3'> {
  if (!(settings.sampleRateHz >= LEAST_FM_RATE_HZ)) {
    throw new CoreError(
      'out-of-range',
      `This recording has ${Math.round(settings.sampleRateHz)} samples a second; ` +
        `a deviation needs ${LEAST_FM_RATE_HZ} or more. If its sample rate is written down wrongly, ` +
        'put it right and read again.',
      { name: 'sampleRateHz', got: settings.sampleRateHz, min: LEAST_FM_RATE_HZ, max: Infinity },
    )
  }
  const factor = Math.max(1, Math.floor(settings.sampleRateHz / AIM_RATE_HZ))
  const rateHz = settings.sampleRateHz / factor
  return {
    rateHz,
    factor,
    channelHalfHz: Math.min(settings.channelHalfHz, 0.4 * rateHz),
    audioHz: Math.min(AUDIO_LOW_PASS_HZ, 0.38 * rateHz, audioBelow(settings.neighbourFromHz ?? null)),
    cutsFromHz: CUTS_FROM_SHARE * (settings.neighbourFromHz ?? Infinity),
  }
}

/** A neighbour beats with the carrier at least this far up, as a share of where it begins: the audio ends before. */
const BEATS_FROM_SHARE = 0.6

/** A swing loses sidebands from this share of where the neighbour begins on: 3.1 kHz in channels of 12.5. */
const CUTS_FROM_SHARE = 0.3

function audioBelow(neighbourFromHz: number | null): number {
  return neighbourFromHz === null ? Infinity : BEATS_FROM_SHARE * neighbourFromHz
}

/** A piece of a demodulated signal. */
export interface Demodulated {
  /** Instantaneous frequency against the middle of the channel, low-passed, Hz. */
  frequencyHz: Float64Array
  /** Power in the channel at the same moments, of full scale. */
  power: Float64Array
}

/**
 * FM discriminator: channel filter, phase, slope of the phase through the audio low-pass; fed piece by piece.
 */
export class FmDemodulator {
  readonly filters: FmFilters
  private readonly channel: Decimator
  /** Keeps a neighbouring channel out, at the thinned rate; null where none is known, or it lies outside. */
  private readonly narrow: Decimator | null
  private readonly slope: Float64Array
  private phase = new Float64Array(0)
  private power = new Float64Array(0)
  private lastPhase = 0
  private turns = 0

  constructor(settings: FmSettings) {
    const filters = fmFilters(settings)
    const { factor, channelHalfHz, rateHz } = filters
    // Wide where a second filter follows: a narrow one at the full rate would be long.
    const neighbourHz = settings.neighbourFromHz ?? null
    const isNarrowed = neighbourHz !== null && neighbourHz < 0.5 * rateHz
    const wideHz = isNarrowed ? Math.max(channelHalfHz, Math.min(WIDE_HALF_HZ, 0.4 * rateHz)) : channelHalfHz
    const stopHz = Math.min(1.6 * wideHz, factor === 1 ? 0.5 * rateHz : rateHz - wideHz)
    this.channel = new Decimator({
      sampleRateHz: settings.sampleRateHz,
      shiftHz: settings.shiftHz,
      passHz: wideHz,
      stopHz,
      factor,
    })
    this.slope = lowPassSlope({
      sampleRateHz: rateHz,
      passHz: filters.audioHz,
      stopHz: Math.min(0.5 * rateHz, 1.3 * filters.audioHz),
    })
    this.narrow = isNarrowed
      ? new Decimator({
          ...{ sampleRateHz: rateHz, shiftHz: 0, factor: 1 },
          ...{ passHz: channelHalfHz, stopHz: neighbourHz },
        })
      : null
    const noiseGainHz3 = discriminatorNoise(rateHz, hz => [
      tapsResponse(this.slope, hz / rateHz),
      this.channel.response(hz),
      this.narrow?.response(hz) ?? 1,
    ])
    this.filters = { ...filters, noiseGainHz3 }
  }

  add(samples: Float32Array): Demodulated {
    const { re, im } = this.inChannel(samples)
    const kept = this.phase.length
    const phase = new Float64Array(kept + re.length)
    const power = new Float64Array(kept + re.length)
    phase.set(this.phase)
    power.set(this.power)
    for (let n = 0; n < re.length; n++) {
      const angle = Math.atan2(im[n]!, re[n]!)
      const step = angle - this.lastPhase
      if (step > Math.PI) this.turns -= 1
      else if (step < -Math.PI) this.turns += 1
      this.lastPhase = angle
      phase[kept + n] = angle + 2 * Math.PI * this.turns
      power[kept + n] = re[n]! ** 2 + im[n]! ** 2
    }
    const frequencyHz = convolveInside(phase, this.slope)
    const middle = (this.slope.length - 1) >> 1
    this.phase = phase.slice(frequencyHz.length)
    this.power = power.slice(frequencyHz.length)
    return { frequencyHz, power: power.slice(middle, middle + frequencyHz.length) }
  }

  private inChannel(samples: Float32Array): { re: Float64Array; im: Float64Array } {
    const wide = this.channel.add(samples)
    if (!this.narrow) return wide
    const pairs = new Float32Array(2 * wide.re.length)
    for (let n = 0; n < wide.re.length; n++) {
      pairs[2 * n] = wide.re[n]!
      pairs[2 * n + 1] = wide.im[n]!
    }
    return this.narrow.add(pairs)
  }
}

const STEPS = 256

/**
 * Noise behind a discriminator grows with f²; the filters, whose edges are not sharp, tell how far: ∫ of the product of
 * the squares of their responses, that of the slope holding f itself.
 */
function discriminatorNoise(rateHz: number, responses: (hz: number) => number[]): number {
  const stepHz = rateHz / 2 / STEPS
  let sum = 0
  for (let k = 0; k < STEPS; k++)
    sum += responses((k + 0.5) * stepHz).reduce((product, one) => product * one * one, 1) * stepHz
  return sum
}
