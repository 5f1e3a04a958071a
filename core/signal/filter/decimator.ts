import { lowPass } from './lowPass'
import { tapsResponse } from './tapsResponse'

/** Channel filter to be moved over a recording. */
export interface ChannelFilter {
  sampleRateHz: number
  /** Middle of the channel relative to the middle of the recording, Hz. */
  shiftHz: number
  /** Flat to this far from the middle, Hz. */
  passHz: number
  stopHz: number
  /** Keep one sample of so many. */
  factor: number
}

/** Moves a channel to the middle, filters it and thins it out, fed piece by piece. */
export class Decimator {
  private readonly kernel: Float64Array
  private re = new Float64Array(0)
  private im = new Float64Array(0)
  private seen = 0
  private readonly step: number

  constructor(private readonly filter: ChannelFilter) {
    this.kernel = lowPass(filter)
    this.step = (-2 * Math.PI * filter.shiftHz) / filter.sampleRateHz
  }

  get rateHz(): number {
    return this.filter.sampleRateHz / this.filter.factor
  }

  /** What it lets through this far from the middle of the channel, as a share of the amplitude. */
  response(hz: number): number {
    return tapsResponse(this.kernel, hz / this.filter.sampleRateHz)
  }

  /** Filtered samples for those given, as I and Q apart. */
  add(samples: Float32Array): { re: Float64Array; im: Float64Array } {
    const count = samples.length >> 1
    const kept = this.re.length
    const re = new Float64Array(kept + count)
    const im = new Float64Array(kept + count)
    re.set(this.re)
    im.set(this.im)
    this.mix(samples, { re, im, kept })
    const { kernel } = this
    const { factor } = this.filter
    const outputs = re.length < kernel.length ? 0 : Math.floor((re.length - kernel.length) / factor) + 1
    const outRe = new Float64Array(outputs)
    const outIm = new Float64Array(outputs)
    const middle = (kernel.length - 1) >> 1
    for (let m = 0; m < outputs; m++) {
      const from = m * factor
      let sumRe = kernel[middle]! * re[from + middle]!
      let sumIm = kernel[middle]! * im[from + middle]!
      // The kernel is even, so both ends share a tap.
      for (let n = 0; n < middle; n++) {
        const tap = kernel[n]!
        const other = from + kernel.length - 1 - n
        sumRe += tap * (re[from + n]! + re[other]!)
        sumIm += tap * (im[from + n]! + im[other]!)
      }
      outRe[m] = sumRe
      outIm[m] = sumIm
    }
    this.re = re.slice(outputs * factor)
    this.im = im.slice(outputs * factor)
    return { re: outRe, im: outIm }
  }

  private mix(samples: Float32Array, into: { re: Float64Array; im: Float64Array; kept: number }): void {
    const count = samples.length >> 1
    const [stepCos, stepSin] = [Math.cos(this.step), Math.sin(this.step)]
    let cos = 1
    let sin = 0
    for (let n = 0; n < count; n++) {
      // The turning pointer is set afresh every 1024 samples, so that rounding does not build up.
      if (n % 1024 === 0) {
        const turns = ((this.seen + n) * (this.filter.shiftHz / this.filter.sampleRateHz)) % 1
        cos = Math.cos(-2 * Math.PI * turns)
        sin = Math.sin(-2 * Math.PI * turns)
      }
      const i = samples[2 * n]!
      const q = samples[2 * n + 1]!
      into.re[into.kept + n] = i * cos - q * sin
      into.im[into.kept + n] = i * sin + q * cos
      const next = cos * stepCos - sin * stepSin
      sin = sin * stepCos + cos * stepSin
      cos = next
    }
    this.seen += count
  }
}
