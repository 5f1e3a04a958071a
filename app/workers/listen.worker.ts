import { type ToneLook, type TonePicture, tonePicture } from '~/stations/sensitivity/tonePicture'
import loadFastFft from '@echogarden/pffft-wasm/simd'
import {
  blockDoubtWords,
  fastFft,
  type FftEngine,
  type LiveBlocks,
  liveBlocks,
  type LiveReport,
  portableFft,
  type SinadSettings,
} from '#core/signal'

/** What the page shows of the last second. */
export interface Heard {
  sinadDb: number | null
  /** Mean of the seconds since something was changed. */
  steady: { sinadDb: number; standardUncertaintyDb: number; seconds: number } | null
  toneHz: number | null
  /** Everything through the filter, dB of full scale. */
  totalDb: number
  /** Shares of the whole: tone, distortion, noise. */
  shares: { tone: number; distortion: number; noise: number } | null
  /** Largest sample, dB of full scale. */
  peakDb: number
  doubts: string[]
}

/** What the page tells the worker. */
export type ListenOrder =
  | { kind: 'start'; port: MessagePort; sampleRateHz: number; settings: SinadSettings }
  | { kind: 'settings'; settings: SinadSettings }
  | { kind: 'picture'; canvas: OffscreenCanvas; look: ToneLook }
  | { kind: 'look'; look: ToneLook }

const SILENT_DB = -120

let engine: FftEngine | null = null
let sampleRateHz = 48_000
let live: LiveBlocks | null = null
let picture: TonePicture | null = null

async function engineOf(): Promise<FftEngine> {
  if (engine) return engine
  try {
    engine = fastFft(await loadFastFft())
  } catch {
    engine = portableFft
  }
  return engine
}

function heardOf({ block, steady, peak }: LiveReport): Heard {
  const { parts, doubts } = block
  const whole = parts ? parts.signalPower + parts.distortionPower + parts.noisePower : 0
  return {
    sinadDb: parts?.sinadDb ?? null,
    steady,
    toneHz: parts?.toneHz ?? null,
    totalDb: Math.max(SILENT_DB, 10 * Math.log10(Math.max(block.totalPower, 1e-12))),
    shares: parts && {
      tone: parts.signalPower / whole,
      distortion: parts.distortionPower / whole,
      noise: parts.noisePower / whole,
    },
    peakDb: Math.max(SILENT_DB, 20 * Math.log10(Math.max(peak, 1e-9))),
    doubts: doubts.map(blockDoubtWords),
  }
}

async function begin(settings: SinadSettings): Promise<void> {
  const fft = await engineOf()
  live?.release()
  live = liveBlocks(sampleRateHz, settings, fft)
}

function tell(report: LiveReport): void {
  const heard = heardOf(report)
  picture?.draw(heard)
  self.postMessage(heard)
}

function start(order: Extract<ListenOrder, { kind: 'start' }>): void {
  sampleRateHz = order.sampleRateHz
  order.port.onmessage = ({ data: samples }: MessageEvent<Float32Array>) => live?.push(samples).forEach(tell)
}

function pictureOn(canvas: OffscreenCanvas, look: ToneLook): TonePicture | null {
  const context = canvas.getContext('2d')
  return context && tonePicture(context, look, (width, height) => Object.assign(canvas, { width, height }))
}

self.onmessage = async ({ data }: MessageEvent<ListenOrder>) => {
  switch (data.kind) {
    case 'picture':
      picture = pictureOn(data.canvas, data.look)
      return
    case 'look':
      picture?.look(data.look)
      return
    case 'start':
      start(data)
  }
  await begin(data.settings)
}
