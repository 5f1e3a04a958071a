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

const SILENT_DB = -120

let engine: FftEngine | null = null
let sampleRateHz = 48_000
let live: LiveBlocks | null = null

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

self.onmessage = async ({ data }: MessageEvent<ListenOrder>) => {
  if (data.kind === 'start') {
    sampleRateHz = data.sampleRateHz
    data.port.onmessage = ({ data: samples }: MessageEvent<Float32Array>) => {
      for (const report of live?.push(samples) ?? []) self.postMessage(heardOf(report))
    }
  }
  await begin(data.settings)
}
