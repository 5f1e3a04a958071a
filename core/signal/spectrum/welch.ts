import { CoreError } from '../../errors'
import type { ComplexFft, FftEngine } from '../fft'
import { windowFacts, type WindowName, windowOf } from '../window'
import type { Spectrum } from './spectrum'

/** How a spectrum is averaged: samples a frame, its window. */
export interface WelchSettings {
  size: number
  window: WindowName
  /** Share of a frame that the next one repeats; a half suits a Hann window. */
  overlap?: number
}

/** Frames gathered so far, in the transform’s own order; may be sent between workers and added up. */
export interface WelchSums {
  settings: Required<WelchSettings>
  frames: number
  sum: Float64Array
  highest: Float32Array
}

/**
 * Averaged and highest power of overlapping windowed frames (Welch), fed piece by piece.
 * @see Welch, “The use of fast Fourier transform for the estimation of power spectra”, IEEE Trans. AU-15
 *   (1967).
 */
export class Welch {
  private readonly fft: ComplexFft
  private readonly window: Float32Array
  private readonly hop: number
  private readonly settings: Required<WelchSettings>
  private readonly sum: Float64Array
  private readonly highest: Float32Array
  private readonly scale: number
  private rest = new Float32Array(0)
  private frames = 0

  /**
   * @param onFrame - called with the power of every frame, in the transform’s own order, full scale = 1; the
   * array is used again.
   */
  constructor(
    settings: WelchSettings,
    engine: FftEngine,
    private readonly onFrame?: (power: Float32Array) => void,
  ) {
    const { size, window, overlap = 0.5 } = settings
    this.settings = { size, window, overlap }
    this.fft = engine(size)
    this.window = windowOf(window, size)
    this.hop = Math.max(1, Math.round(size * (1 - overlap)))
    this.sum = new Float64Array(size)
    this.highest = new Float32Array(size)
    this.power = new Float32Array(size)
    this.scale = 1 / this.window.reduce((total, weight) => total + weight, 0) ** 2
  }

  private readonly power: Float32Array

  /** Takes further samples as I, Q, I, Q …; what does not fill a frame waits for more. */
  add(samples: Float32Array): void {
    const all = this.rest.length === 0 ? samples : joined(this.rest, samples)
    const frame = 2 * this.settings.size
    let at = 0
    for (; at + frame <= all.length; at += 2 * this.hop) this.take(all, at)
    this.rest = all.slice(at)
  }

  /** What comes next does not follow on what came before. */
  breakOff(): void {
    this.rest = new Float32Array(0)
  }

  private take(all: Float32Array, at: number): void {
    const { window, fft, sum, highest, power, scale } = this
    const { size } = this.settings
    const input = fft.input
    for (let n = 0; n < size; n++) {
      const weight = window[n]!
      input[2 * n] = all[at + 2 * n]! * weight
      input[2 * n + 1] = all[at + 2 * n + 1]! * weight
    }
    fft.run()
    const output = fft.output
    for (let k = 0; k < size; k++) {
      const re = output[2 * k]!
      const im = output[2 * k + 1]!
      const p = (re * re + im * im) * scale
      power[k] = p
      sum[k] = sum[k]! + p
      if (p > highest[k]!) highest[k] = p
    }
    this.frames += 1
    this.onFrame?.(power)
  }

  /** What was gathered. */
  sums(): WelchSums {
    return { settings: this.settings, frames: this.frames, sum: this.sum, highest: this.highest }
  }

  release(): void {
    this.fft.release()
  }
}

function joined(a: Float32Array, b: Float32Array): Float32Array<ArrayBuffer> {
  const both = new Float32Array(a.length + b.length)
  both.set(a)
  both.set(b, a.length)
  return both
}

/**
 * Adds up what several workers gathered from stretches of one recording.
 * @throws CoreError `empty` without any.
 */
export function addWelchSums(parts: readonly WelchSums[]): WelchSums {
  const [first, ...others] = parts
  if (!first) throw new CoreError('empty', 'There is nothing to add up.', { name: 'parts' })
  const total: WelchSums = {
    ...first,
    sum: Float64Array.from(first.sum),
    highest: Float32Array.from(first.highest),
  }
  for (const part of others) {
    total.frames += part.frames
    for (let k = 0; k < total.sum.length; k++) {
      total.sum[k] = total.sum[k]! + part.sum[k]!
      if (part.highest[k]! > total.highest[k]!) total.highest[k] = part.highest[k]!
    }
  }
  return total
}

/**
 * The spectrum that sums come to, lowest frequency first.
 * @throws CoreError `too-few` when the recording did not fill one frame.
 */
export function spectrumFrom(
  sums: WelchSums,
  tuning: { sampleRateHz: number; centreHz: number | null },
): Spectrum {
  const {
    settings: { size, window, overlap },
    frames,
  } = sums
  if (frames === 0)
    throw new CoreError(
      'too-few',
      `The recording is too short: one frame takes ${size} samples. Choose shorter frames.`,
      { name: 'samples', got: 0, min: size },
    )
  const half = size >> 1
  const ordered = (from: ArrayLike<number>, factor: number) =>
    Float64Array.from({ length: size }, (_unused, k) => from[(k + half) % size]! * factor)
  const { enbwBins } = windowFacts(window)
  const binHz = tuning.sampleRateHz / size
  return {
    centreHz: tuning.centreHz,
    firstHz: -half * binHz,
    binHz,
    window,
    enbwHz: enbwBins * binHz,
    enbwBins,
    frames,
    independentFrames: independentOf(frames, { size, window, overlap }),
    meanPower: ordered(sums.sum, 1 / frames),
    highestPower: ordered(sums.highest, 1),
  }
}

/** Averages worth of independent frames: overlapped ones share some of their noise. @see Welch (1967). */
function independentOf(frames: number, settings: Required<WelchSettings>): number {
  const weights = windowOf(settings.window, Math.min(settings.size, 1024))
  const shift = Math.round(weights.length * (1 - settings.overlap))
  let own = 0
  let shared = 0
  for (let n = 0; n < weights.length; n++) {
    own += weights[n]! ** 2
    if (n + shift < weights.length) shared += weights[n]! * weights[n + shift]!
  }
  const correlation = (shared / own) ** 2
  return frames <= 1 ? frames : frames / (1 + 2 * correlation * (1 - 1 / frames))
}
