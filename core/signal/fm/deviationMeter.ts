import type { FftEngine } from '../fft'
import { type AudioBlock, readAudioBlock } from './audioBlock'
import { FmDemodulator, type FmFilters, type FmSettings } from './fmDemodulator'

/** A hundredth of a second of demodulated signal. */
export interface DeviationBuckets {
  bucketS: number
  power: Float64Array
  highestHz: Float64Array
  lowestHz: Float64Array
  meanHz: Float64Array
}

/** A block with the weakest power it held. */
export interface PoweredBlock extends AudioBlock {
  startS: number
  leastPower: number
  /** Variance of the power of its samples over the square of their mean: what noise does to a steady carrier. */
  powerVariance: number
}

/** What a stretch of a recording came to; stretches follow one another. */
export interface DeviationSums {
  filters: FmFilters
  buckets: DeviationBuckets
  blocks: PoweredBlock[]
}

const BUCKETS_PER_BLOCK = 100
const BUCKET_S = 0.01

/** A last block shorter than this is left out, s. */
const LEAST_BLOCK_S = 0.1

/**
 * Demodulates a stretch piece by piece and keeps what is needed of it: extremes every 10 ms, and each second
 * taken apart.
 */
export class DeviationMeter {
  private readonly demodulator: FmDemodulator
  private readonly bucketSamples: number
  private readonly bucketS: number
  private readonly power: number[] = []
  private readonly highest: number[] = []
  private readonly lowest: number[] = []
  private readonly mean: number[] = []
  private readonly blocks: PoweredBlock[] = []
  private block: Float64Array
  private blockPower: Float64Array
  private filled = 0
  private done = 0

  constructor(
    settings: FmSettings,
    private readonly engine: FftEngine,
  ) {
    this.demodulator = new FmDemodulator(settings)
    const { rateHz } = this.demodulator.filters
    this.bucketSamples = Math.max(1, Math.round(rateHz * BUCKET_S))
    this.bucketS = this.bucketSamples / rateHz
    this.block = new Float64Array(this.bucketSamples * BUCKETS_PER_BLOCK)
    this.blockPower = new Float64Array(this.block.length)
  }

  add(samples: Float32Array): void {
    const { frequencyHz, power } = this.demodulator.add(samples)
    for (let at = 0; at < frequencyHz.length;) {
      const count = Math.min(frequencyHz.length - at, this.block.length - this.filled)
      this.block.set(frequencyHz.subarray(at, at + count), this.filled)
      this.blockPower.set(power.subarray(at, at + count), this.filled)
      this.filled += count
      at += count
      if (this.filled === this.block.length) this.finishBlock()
    }
  }

  private finishBlock(): void {
    const { filters } = this.demodulator
    const { rateHz } = filters
    const startS = this.done / rateHz
    const first = this.power.length
    for (let at = 0; at + this.bucketSamples <= this.filled; at += this.bucketSamples) this.takeBucket(at)
    const leastPower = Math.min(...this.power.slice(first))
    const block = readAudioBlock(this.block.slice(0, this.filled), { filters, engine: this.engine })
    this.blocks.push({ ...block, startS, leastPower, powerVariance: this.powerVariance() })
    this.done += this.filled
    this.filled = 0
  }

  private powerVariance(): number {
    let sum = 0
    let squares = 0
    for (let n = 0; n < this.filled; n++) {
      const power = this.blockPower[n]!
      sum += power
      squares += power * power
    }
    const mean = sum / this.filled
    return mean > 0 ? squares / this.filled / (mean * mean) - 1 : 0
  }

  private takeBucket(at: number): void {
    let power = 0
    let sum = 0
    let highest = -Infinity
    let lowest = Infinity
    for (let n = at; n < at + this.bucketSamples; n++) {
      const value = this.block[n]!
      power += this.blockPower[n]!
      sum += value
      if (value > highest) highest = value
      if (value < lowest) lowest = value
    }
    this.power.push(power / this.bucketSamples)
    this.mean.push(sum / this.bucketSamples)
    this.highest.push(highest)
    this.lowest.push(lowest)
  }

  sums(): DeviationSums {
    if (this.filled >= LEAST_BLOCK_S * this.demodulator.filters.rateHz) this.finishBlock()
    return {
      filters: this.demodulator.filters,
      blocks: this.blocks,
      buckets: {
        bucketS: this.bucketS,
        power: Float64Array.from(this.power),
        highestHz: Float64Array.from(this.highest),
        lowestHz: Float64Array.from(this.lowest),
        meanHz: Float64Array.from(this.mean),
      },
    }
  }
}

/** Sets stretches of one recording one behind the other. */
export function joinDeviation(parts: readonly DeviationSums[]): DeviationSums {
  const [first] = parts
  if (!first || parts.length === 1) return first!
  const join = (pick: (buckets: DeviationBuckets) => Float64Array) =>
    Float64Array.from(parts.flatMap(({ buckets }) => [...pick(buckets)]))
  let startS = 0
  const blocks = parts.flatMap(part => {
    const shifted = part.blocks.map(block => ({ ...block, startS: block.startS + startS }))
    startS += part.buckets.power.length * part.buckets.bucketS
    return shifted
  })
  return {
    filters: first.filters,
    blocks,
    buckets: {
      bucketS: first.buckets.bucketS,
      power: join(b => b.power),
      highestHz: join(b => b.highestHz),
      lowestHz: join(b => b.lowestHz),
      meanHz: join(b => b.meanHz),
    },
  }
}
