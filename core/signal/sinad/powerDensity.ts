import type { FftEngine } from '../fft'
import { windowFacts, windowOf } from '../window'
import { AUDIO_BANDS, audioPowerGain, type AudioWeighting } from './audioFilter'

/** Power of a real signal over frequency, frame by frame. */
export interface PowerDensity {
  binHz: number
  /** Mean density of each bin from nought up, power a hertz: a sine of amplitude 1 has power ½. */
  density: Float64Array
  /** Power through the filter in each frame. */
  framePower: Float64Array
  /** Frames’ worth of independent signal in the block. */
  independentFrames: number
}

/** Bins about this wide: a filter’s edge and a line of hum stay apart. */
const BIN_HZ = 6
const OVERLAP = 4
const WINDOW = 'blackman-harris' as const

/** Bins over which a line spreads in the density. */
export const LINE_BINS = windowFacts(WINDOW).enbwBins

/**
 * Averaged density of a block through overlapping frames; two real frames share a transform.
 * @param samples - at least 64.
 */
export function powerDensity(
  samples: Float64Array,
  { sampleRateHz, weighting, engine }: { sampleRateHz: number; weighting: AudioWeighting; engine: FftEngine },
): PowerDensity {
  const size = frameSize(samples.length, sampleRateHz)
  const { window, squares, fourths } = frameWindow(size)
  const binHz = sampleRateHz / size
  const gains = binGains(size / 2 + 1, binHz, weighting)
  const hop = Math.max(1, size / OVERLAP)
  const starts = Array.from(
    { length: Math.floor((samples.length - size) / hop) + 1 },
    (_unused, i) => i * hop,
  )
  const scale = 2 / (squares * sampleRateHz)
  const density = new Float64Array(size / 2 + 1)
  const framePower = new Float64Array(starts.length)
  const fft = engine(size)
  try {
    for (let i = 0; i < starts.length; i += 2) {
      const second = starts[i + 1]
      fillFrames(fft.input, samples, window, { first: starts[i]!, second: second ?? null })
      fft.run()
      const powers = addPowers(fft.output, { density, gains, scale })
      framePower[i] = scale * binHz * powers.first
      if (second !== undefined) framePower[i + 1] = scale * binHz * powers.second
    }
  } finally {
    fft.release()
  }
  const frames = Math.max(1, starts.length)
  for (let k = 0; k < density.length; k++) density[k]! /= frames
  return {
    binHz,
    density,
    framePower,
    independentFrames: Math.max(1, samples.length / (squares ** 2 / fourths)),
  }
}

/** Puts one frame into the real parts and another into the imaginary ones. */
function fillFrames(
  input: Float32Array | Float64Array,
  samples: Float64Array,
  window: Float32Array,
  { first, second }: { first: number; second: number | null },
): void {
  const { length } = window
  if (second === null) {
    for (let n = 0, at = 0; n < length; n++, at += 2) {
      input[at] = window[n]! * samples[first + n]!
      input[at + 1] = 0
    }
    return
  }
  for (let n = 0, at = 0; n < length; n++, at += 2) {
    const weight = window[n]!
    input[at] = weight * samples[first + n]!
    input[at + 1] = weight * samples[second + n]!
  }
}

/** Adds the powers of two real frames that were transformed as one complex one; what each has in the filter. */
function addPowers(
  output: Float32Array | Float64Array,
  to: { density: Float64Array; gains: BinGains; scale: number },
): { first: number; second: number } {
  const { density, scale } = to
  const { gains, from, end } = to.gains
  const size = output.length / 2
  const half = scale / 2
  density[0]! += scale * (output[0]! ** 2 + output[1]! ** 2)
  for (let k = 1, at = 2, mirror = 2 * size - 2; k <= size / 2; k++, at += 2, mirror -= 2) {
    const re = output[at]!
    const im = output[at + 1]!
    const mirrorRe = output[mirror]!
    const mirrorIm = output[mirror + 1]!
    density[k]! += half * (re * re + im * im + mirrorRe * mirrorRe + mirrorIm * mirrorIm)
  }
  // What both frames have together, and what the first has more than the second.
  let sum = 0
  let more = 0
  for (let k = from, at = 2 * from; k < end; k++, at += 2) {
    const mirror = k === 0 ? 0 : 2 * size - at
    const re = output[at]!
    const im = output[at + 1]!
    const mirrorRe = output[mirror]!
    const mirrorIm = output[mirror + 1]!
    sum += gains[k]! * (re * re + im * im + mirrorRe * mirrorRe + mirrorIm * mirrorIm)
    more += gains[k]! * (re * mirrorRe - im * mirrorIm)
  }
  return { first: (sum + 2 * more) / 4, second: (sum - 2 * more) / 4 }
}

/** A power of two near the wanted resolution, never longer than the block. */
function frameSize(length: number, sampleRateHz: number): number {
  const wanted = 2 ** Math.round(Math.log2(sampleRateHz / BIN_HZ))
  return Math.max(64, Math.min(wanted, 2 ** Math.floor(Math.log2(length))))
}

/** A window of one size and gains of one filter are wanted again and again. */
let lastWindow: FrameWindow = { window: new Float32Array(0), squares: 0, fourths: 0 }
let lastGains: BinGains & { key: string } = { key: '', gains: new Float64Array(0), from: 0, end: 0 }

interface FrameWindow {
  window: Float32Array
  /** Sums of its second and fourth powers. */
  squares: number
  fourths: number
}

function frameWindow(size: number): FrameWindow {
  if (lastWindow.window.length !== size) {
    const window = Float32Array.from(windowOf(WINDOW, size))
    const sumOf = (power: number) => window.reduce((sum, one) => sum + one ** power, 0)
    lastWindow = { window, squares: sumOf(2), fourths: sumOf(4) }
  }
  return lastWindow
}

/** The filter’s gain for each bin, and where it is more than nought: from one bin up to another, left out. */
interface BinGains {
  gains: Float64Array
  from: number
  end: number
}

function binGains(bins: number, binHz: number, weighting: AudioWeighting): BinGains {
  const key = `${bins} ${binHz} ${weighting.filter} ${weighting.deEmphasisS}`
  if (lastGains.key !== key) {
    const gains = freshGains(bins, binHz, weighting)
    const from = Math.max(
      0,
      gains.findIndex(gain => gain > 0),
    )
    lastGains = { key, gains, from, end: gains.findLastIndex(gain => gain > 0) + 1 }
  }
  return lastGains
}

/** A bin that lies across an edge counts in part. */
function freshGains(bins: number, binHz: number, weighting: AudioWeighting): Float64Array<ArrayBuffer> {
  const { fromHz, toHz } = AUDIO_BANDS[weighting.filter]
  return Float64Array.from({ length: bins }, (_unused, k) => {
    const inside = Math.min((k + 0.5) * binHz, toHz) - Math.max((k - 0.5) * binHz, fromHz)
    if (inside <= 0) return 0
    const hz = Math.min(toHz, Math.max(fromHz, k * binHz))
    return Math.min(1, inside / binHz) * audioPowerGain(weighting, hz)
  })
}

/** Power of a density through a weighting. */
export function weightedPower({ density, binHz }: PowerDensity, weighting: AudioWeighting): number {
  const { gains, from, end } = binGains(density.length, binHz, weighting)
  let sum = 0
  for (let k = from; k < end; k++) sum += density[k]! * gains[k]! * binHz
  return sum
}

/** Bandwidth of white noise with as many independent values, Hz: (∫P)² / ∫P². */
export function noiseBandwidthHz({ density, binHz }: PowerDensity, weighting: AudioWeighting): number {
  const { gains, from, end } = binGains(density.length, binHz, weighting)
  let sum = 0
  let squares = 0
  for (let k = from; k < end; k++) {
    const power = density[k]! * gains[k]!
    sum += power
    squares += power * power
  }
  return squares === 0 ? 0 : (binHz * sum * sum) / squares
}

/** Mean density around a frequency, what lies within `apartHz` of it left out. */
export function densityNear({ density, binHz }: PowerDensity, hz: number, apartHz = 0): number {
  const reach = Math.max(60, 8 * binHz)
  const last = Math.min(density.length - 1, Math.ceil((hz + reach) / binHz))
  let sum = 0
  let count = 0
  for (let k = Math.max(1, Math.floor((hz - reach) / binHz)); k <= last; k++) {
    const away = Math.abs(k * binHz - hz)
    if (away > reach || away < apartHz) continue
    sum += density[k]!
    count += 1
  }
  return count === 0 ? 0 : sum / count
}
