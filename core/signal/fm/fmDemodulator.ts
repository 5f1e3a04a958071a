import { CoreError } from '../../errors'
import { Decimator } from '../filter/decimator'
import { convolveInside } from '../filter/convolve'
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
}

/** Filters as they come out for a recording’s rate. */
export interface FmFilters {
  rateHz: number
  factor: number
  channelHalfHz: number
  audioHz: number
}

/** Rate aimed at after the channel filter, Hz. */
const AIM_RATE_HZ = 60_000

/**
 * The filters that suit a recording.
 * @throws CoreError `out-of-range` when it is sampled too slowly for a deviation.
 */
export function fmFilters(settings: FmSettings): FmFilters {
  if (!(settings.sampleRateHz >= LEAST_FM_RATE_HZ)) {
    throw new CoreError(
      'out-of-range',
      `This recording has ${Math.round(settings.sampleRateHz)} samples a second; a deviation needs ${LEAST_FM_RATE_HZ} or more. If its sample rate is written down wrongly, put it right and read again.`,
      { name: 'sampleRateHz', got: settings.sampleRateHz, min: LEAST_FM_RATE_HZ, max: Infinity },
    )
  }
  const factor = Math.max(1, Math.floor(settings.sampleRateHz / AIM_RATE_HZ))
  const rateHz = settings.sampleRateHz / factor
  return {
    rateHz,
    factor,
    channelHalfHz: Math.min(settings.channelHalfHz, 0.4 * rateHz),
    audioHz: Math.min(AUDIO_LOW_PASS_HZ, 0.38 * rateHz),
  }
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
  private readonly slope: Float64Array
  private phase = new Float64Array(0)
  private power = new Float64Array(0)
  private lastPhase = 0
  private turns = 0

  constructor(settings: FmSettings) {
    const filters = (this.filters = fmFilters(settings))
    const { factor, channelHalfHz, rateHz } = filters
    const stopHz = Math.min(1.6 * channelHalfHz, factor === 1 ? 0.5 * rateHz : rateHz - channelHalfHz)
    this.channel = new Decimator({
      sampleRateHz: settings.sampleRateHz,
      shiftHz: settings.shiftHz,
      passHz: channelHalfHz,
      stopHz,
      factor,
    })
    this.slope = lowPassSlope({
      sampleRateHz: rateHz,
      passHz: filters.audioHz,
      stopHz: Math.min(0.5 * rateHz, 1.3 * filters.audioHz),
    })
  }

  add(samples: Float32Array): Demodulated {
    const { re, im } = this.channel.add(samples)
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
}
