import type { FftEngine } from '../fft'
import { windowFacts, windowOf } from '../window'

/** Power over frequency around the signal in each short frame of the key-downs and releases; may be sent on. */
export interface EdgeFrames {
  /** Middle of the first band, Hz from the middle of the recording. */
  firstHz: number
  bandHz: number
  frames: Float64Array[]
}

const BAND_HZ = 500

/** Length of a frame, s: short against a key-down, long enough to tell one channel from the next. */
const FRAME_S = 0.004

/** How far either side of the signal is kept, channel spacings: the second neighbour whole. */
const KEPT_SPACINGS = 2.6

/** Most frames that are kept of one recording: ten key-downs. */
const MOST_FRAMES = 4000

/** Reads the time around key-downs and releases in short frames. */
export class EdgeReader {
  private readonly size: number
  private readonly fft
  private readonly window: Float32Array
  private readonly scale: number
  private readonly frames: Float64Array[] = []
  private rest = new Float32Array(0)
  private readonly bands: number

  constructor(
    private readonly around: { sampleRateHz: number; signalHz: number; channelSpacingHz: number },
    engine: FftEngine,
  ) {
    this.size = 2 ** Math.max(6, Math.round(Math.log2(around.sampleRateHz * FRAME_S)))
    this.fft = engine(this.size)
    this.window = windowOf('blackman-harris', this.size)
    const sum = this.window.reduce((total, weight) => total + weight, 0)
    this.scale = 1 / sum ** 2 / windowFacts('blackman-harris').enbwBins
    this.bands = 2 * Math.ceil((KEPT_SPACINGS * around.channelSpacingHz) / BAND_HZ) + 1
  }

  private get firstHz(): number {
    return this.around.signalHz - ((this.bands - 1) / 2) * BAND_HZ
  }

  /** Takes further samples of an edge; `isLast` where the edge ends with them. */
  add(samples: Float32Array, isLast: boolean): void {
    const all = new Float32Array(this.rest.length + samples.length)
    all.set(this.rest)
    all.set(samples, this.rest.length)
    let at = 0
    for (; at + 2 * this.size <= all.length && this.frames.length < MOST_FRAMES; at += this.size)
      this.take(all, at)
    this.rest = isLast ? new Float32Array(0) : all.slice(at)
  }

  private take(all: Float32Array, at: number): void {
    const { size, window, fft } = this
    for (let n = 0; n < size; n++) {
      fft.input[2 * n] = all[at + 2 * n]! * window[n]!
      fft.input[2 * n + 1] = all[at + 2 * n + 1]! * window[n]!
    }
    fft.run()
    const frame = new Float64Array(this.bands)
    const binHz = this.around.sampleRateHz / size
    for (let k = 0; k < size; k++) {
      const hz = (k < size / 2 ? k : k - size) * binHz
      const band = Math.round((hz - this.firstHz) / BAND_HZ)
      if (band < 0 || band >= this.bands) continue
      frame[band]! += (fft.output[2 * k]! ** 2 + fft.output[2 * k + 1]! ** 2) * this.scale
    }
    this.frames.push(frame)
  }

  read(): EdgeFrames {
    return { firstHz: this.firstHz, bandHz: BAND_HZ, frames: this.frames }
  }

  release(): void {
    this.fft.release()
  }
}

/** Joins what several workers read. */
export function joinEdges(parts: readonly EdgeFrames[]): EdgeFrames | null {
  const [first] = parts
  return first ? { ...first, frames: parts.flatMap(({ frames }) => frames) } : null
}

/** The highest power in a band of all frames, of full scale; null without any. */
export function highestIn(
  { firstHz, bandHz, frames }: EdgeFrames,
  { lowHz, highHz }: { lowHz: number; highHz: number },
): number | null {
  if (frames.length === 0) return null
  let highest = 0
  for (const frame of frames) {
    let sum = 0
    for (let b = 0; b < frame.length; b++) {
      const from = firstHz + (b - 0.5) * bandHz
      const inside = Math.min(highHz, from + bandHz) - Math.max(lowHz, from)
      if (inside > 0) sum += (frame[b]! * inside) / bandHz
    }
    if (sum > highest) highest = sum
  }
  return highest
}
