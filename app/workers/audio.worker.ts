import loadFastFft from '@echogarden/pffft-wasm/simd'
import { expose } from 'comlink'
import { createSHA256 } from 'hash-wasm'
import { CoreError } from '#core/errors'
import { type ByteSource, openRecordings, samplesOf } from '#core/format'
import {
  blockDoubtWords,
  fastFft,
  type FftEngine,
  portableFft,
  type SinadSettings,
  type SinadStretch,
  steppedBlocks,
} from '#core/signal'

/** One stretch of a recording of audio over which nothing was changed. */
export interface HeardStretch {
  fromS: number
  toS: number
  sinadDb: number | null
  standardUncertaintyDb: number
  toneHz: number | null
  /** Power of all of it through the filter, full scale 1. */
  totalPower: number
  /** rms of the harmonics against the tone’s; null where there is no tone. */
  distortion: number | null
  doubts: string[]
}

/** What a recording of audio holds. */
export interface HeardRecording {
  fileName: string
  sha256: string
  sampleRateHz: number
  channels: number
  seconds: number
  stretches: HeardStretch[]
}

export type AudioAnswer = { ok: true; value: HeardRecording } | { ok: false; message: string }

/** Audio longer than this is read as far as here, s. */
const MOST_S = 600

let engine: FftEngine | null = null

async function engineOf(): Promise<FftEngine> {
  if (engine) return engine
  try {
    engine = fastFft(await loadFastFft())
  } catch {
    engine = portableFft
  }
  return engine
}

async function hear(file: File, channel: number, settings: SinadSettings): Promise<HeardRecording> {
  const source: ByteSource = {
    name: file.name,
    byteLength: file.size,
    read: async (from, to) => new Uint8Array(await file.slice(from, to).arrayBuffer()),
  }
  const [recording] = await openRecordings([source])
  if (!recording) throw new Error(`“${file.name}” holds no recording.`)
  const { sampleRateHz, format } = recording
  const samples = samplesOf(recording, { kind: 'audio', channel: Math.min(channel, format.channels - 1) })
  const count = Math.min(samples.sampleCount, Math.round(MOST_S * sampleRateHz))
  const pairs = await samples.read(0, count)
  const audio = Float64Array.from({ length: pairs.length / 2 }, (_unused, n) => pairs[2 * n]!)
  const stretches = steppedBlocks(audio, sampleRateHz, settings, await engineOf())
  return {
    fileName: file.name,
    sha256: await hashOf(file),
    sampleRateHz,
    channels: format.channels,
    seconds: count / sampleRateHz,
    stretches: stretches.map(heardOf),
  }
}

async function hashOf(file: File): Promise<string> {
  const hash = await createSHA256()
  hash.init()
  hash.update(new Uint8Array(await file.arrayBuffer()))
  return hash.digest('hex')
}

function meanOf(values: readonly number[]): number {
  return values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length)
}

function distortionOf(blocks: SinadStretch['blocks']): number | null {
  const known = blocks.flatMap(({ parts }) => (parts ? [parts.distortion] : []))
  return known.length > 0 ? meanOf(known) : null
}

function heardOf({ fromS, toS, blocks, mean }: SinadStretch): HeardStretch {
  const doubts = blocks.flatMap(block => block.doubts.map(blockDoubtWords))
  return {
    fromS,
    toS,
    sinadDb: mean?.sinadDb ?? null,
    standardUncertaintyDb: mean?.standardUncertaintyDb ?? 0,
    toneHz: mean?.toneHz ?? null,
    totalPower: meanOf(blocks.map(block => block.totalPower)),
    distortion: distortionOf(blocks),
    doubts: [...new Set(doubts)],
  }
}

const worker = {
  async hear(file: File, channel: number, settings: SinadSettings): Promise<AudioAnswer> {
    try {
      return { ok: true, value: await hear(file, channel, settings) }
    } catch (error) {
      const isOurs = error instanceof CoreError || error instanceof Error
      return {
        ok: false,
        message: isOurs ? error.message : 'The recording could not be read. Nothing was kept.',
      }
    }
  },
}

/** What the page may ask. */
export type AudioWorker = typeof worker

expose(worker)
