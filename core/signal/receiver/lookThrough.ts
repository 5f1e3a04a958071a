import type { FftEngine } from '../fft'
import { forEachSlice, type ReadProgress, type SampleSource } from '../sampleSource'
import { addWelchSums, Welch, type WelchSums } from '../spectrum/welch'
import { addSample, type EnvelopeSums, noEnvelope } from './envelopeSums'
import { addLevels, countLevels, type LevelCounts, noLevels } from './levelCounts'

/** What a first look through a stretch of I and Q came to; may be sent between workers and joined. */
export interface LookSums {
  /** Mean power every so many samples, in order. */
  power: Float64Array
  bucketSamples: number
  /** Sums over stretches of so many buckets. */
  envelopes: EnvelopeSums[]
  levels: LevelCounts
  welch: WelchSums
}

const BUCKET_S = 0.005

/** Buckets that share one set of sums. */
const ENVELOPE_BUCKETS = 10

/** One sample of so many goes into the sums: neighbours say the same. */
const STRIDE = 3

const FRAME = 8192

/** One frame of so many samples is looked at for the strongest signal. */
const FRAME_EVERY = 8 * FRAME

/** Samples in one bucket of a look. */
export function bucketSamplesAt(sampleRateHz: number): number {
  return Math.max(STRIDE, Math.round(sampleRateHz * BUCKET_S))
}

/**
 * Where a look through is cut for so many workers: between two sets of sums, so that stretches join without a seam.
 */
export function lookStretches(
  { sampleCount, sampleRateHz }: Pick<SampleSource, 'sampleCount' | 'sampleRateHz'>,
  workers: number,
): { from: number; to: number }[] {
  const unit = bucketSamplesAt(sampleRateHz) * ENVELOPE_BUCKETS
  const cuts = Array.from({ length: workers + 1 }, (_unused, i) =>
    i === workers ? sampleCount : Math.floor((i * sampleCount) / workers / unit) * unit,
  )
  return cuts.slice(1).map((to, i) => ({ from: cuts[i]!, to }))
}

/**
 * Looks through a stretch before it is analysed: when it is keyed, what stands in it, and what the receiver did to it.
 * Reads every sample once.
 */
export async function lookThrough(
  source: SampleSource,
  stretch: { from: number; to: number; engine: FftEngine } & ReadProgress,
): Promise<LookSums> {
  const size = Math.min(FRAME, 2 ** Math.floor(Math.log2(Math.max(64, stretch.to - stretch.from))))
  const welch = new Welch({ size, window: 'blackman-harris', overlap: 0 }, stretch.engine)
  const look = new Look(bucketSamplesAt(source.sampleRateHz))
  try {
    await forEachSlice(source, stretch, slice => {
      look.add(slice)
      for (let at = 0; at + 2 * size <= slice.length; at += 2 * FRAME_EVERY)
        welch.add(slice.subarray(at, at + 2 * size))
    })
    return { ...look.sums(), welch: welch.sums() }
  } finally {
    welch.release()
  }
}

/** Joins the looks through stretches that follow one another. */
export function joinLooks(parts: readonly LookSums[]): LookSums {
  return {
    power: Float64Array.from(parts.flatMap(({ power }) => [...power])),
    bucketSamples: parts[0]!.bucketSamples,
    envelopes: parts.flatMap(({ envelopes }) => envelopes),
    levels: addLevels(parts.map(({ levels }) => levels)),
    welch: addWelchSums(parts.map(({ welch }) => welch)),
  }
}

class Look {
  private readonly levels = noLevels()
  private readonly power: number[] = []
  private readonly envelopes: EnvelopeSums[] = []
  private envelope = noEnvelope()
  private inEnvelope = 0
  private bucket = 0
  private filled = 0

  constructor(private readonly bucketSamples: number) {}

  add(samples: Float32Array): void {
    countLevels(this.levels, samples)
    for (let n = 0; n < samples.length; n += 2) {
      const i = samples[n]!
      const q = samples[n + 1]!
      this.bucket += i * i + q * q
      if (this.filled % STRIDE === 0) addSample(this.envelope, i, q)
      this.filled += 1
      if (this.filled === this.bucketSamples) this.finishBucket()
    }
  }

  private finishBucket(): void {
    const power = this.bucket / this.filled
    this.power.push(power)
    this.envelope.leastPower = Math.min(this.envelope.leastPower, power)
    this.bucket = 0
    this.filled = 0
    this.inEnvelope += 1
    if (this.inEnvelope === ENVELOPE_BUCKETS) this.finishEnvelope()
  }

  private finishEnvelope(): void {
    this.envelopes.push(this.envelope)
    this.envelope = noEnvelope()
    this.inEnvelope = 0
  }

  sums(): Omit<LookSums, 'welch'> {
    if (this.filled > 0) this.finishBucket()
    if (this.inEnvelope > 0) this.finishEnvelope()
    return {
      power: Float64Array.from(this.power),
      bucketSamples: this.bucketSamples,
      envelopes: this.envelopes,
      levels: this.levels,
    }
  }
}

/** The sums of all stretches that were keyed throughout; of all where none was. */
export function keyedEnvelope(envelopes: readonly EnvelopeSums[], thresholdPower: number): EnvelopeSums[] {
  const keyed = envelopes.filter(({ leastPower }) => leastPower >= thresholdPower)
  return keyed.length > 0 ? keyed : [...envelopes]
}
