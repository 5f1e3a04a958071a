import { expose } from 'comlink'
import startLoudness from 'ebur128-wasm/ebur128_wasm_bg.wasm?init'
import { CoreError } from '#core/errors'
import { MOST_CLIP_BYTES } from '#core/review'
import { type ByteSource, openRecordings, samplesOf } from '#core/format'
import { MOST_CLIP_S, type PreparedClip, wavOf } from '#core/sound'
import type { ClipAnswer } from './clipWorker'
import { LOUDNESS_IMPORTS, type LoudnessMeter, loudnessMeter } from './loudness'

/** Longest clip: long enough for a sentence, short enough for a review that travels. */
const longestS = (sampleRateHz: number): number => Math.min(MOST_CLIP_S, MOST_SAMPLES / sampleRateHz)
/** Of 16 bit, behind a head of a WAV file. */
const MOST_SAMPLES = (MOST_CLIP_BYTES - 1000) / 2

const samplesOfClip = (sampleRateHz: number): number => Math.floor(longestS(sampleRateHz) * sampleRateHz)

let meter: Promise<LoudnessMeter> | null = null

/** The loudness meter, started once. */
function meterOf(): Promise<LoudnessMeter> {
  meter ??= startLoudness(LOUDNESS_IMPORTS).then(({ exports }) => loudnessMeter(exports))
  return meter
}

async function fromFile(file: File): Promise<PreparedClip> {
  const source: ByteSource = {
    name: file.name,
    byteLength: file.size,
    read: async (from, to) => new Uint8Array(await file.slice(from, to).arrayBuffer()),
  }
  const [recording] = await openRecordings([source])
  if (!recording) throw new Error(`“${file.name}” holds no recording.`)
  const { sampleRateHz, format } = recording
  const channels: Float32Array[] = []
  for (let channel = 0; channel < format.channels; channel++) {
    const samples = samplesOf(recording, { kind: 'audio', channel })
    const pairs = await samples.read(0, Math.min(samples.sampleCount, samplesOfClip(sampleRateHz)))
    channels.push(Float32Array.from({ length: pairs.length / 2 }, (_unused, n) => pairs[2 * n]!))
  }
  const wasS = samplesOf(recording, { kind: 'audio', channel: 0 }).sampleCount / sampleRateHz
  return prepared(mixed(channels), sampleRateHz, wasS)
}

/** All channels in one: a radio has one loudspeaker. */
function mixed(channels: readonly Float32Array[]): Float32Array {
  const [first = new Float32Array(0), ...others] = channels
  return first.map((value, n) => others.reduce((sum, one) => sum + one[n]!, value) / channels.length)
}

async function prepared(samples: Float32Array, sampleRateHz: number, wasS: number): Promise<PreparedClip> {
  const cut = samples.subarray(0, samplesOfClip(sampleRateHz))
  if (cut.length === 0 || !cut.every(Number.isFinite))
    throw new Error('This is no sound: there is nothing in it, or it holds values that are no figures.')
  const loudnessOf = await meterOf()
  const { dataUrl, bytes } = wavOf(cut, sampleRateHz)
  return {
    dataUrl,
    bytes,
    sampleRateHz,
    seconds: cut.length / sampleRateHz,
    wasS,
    loudnessLufs: loudnessOf(cut, sampleRateHz),
  }
}

async function answer(work: () => Promise<PreparedClip>): Promise<ClipAnswer> {
  try {
    return { ok: true, value: await work() }
  } catch (error) {
    const isOurs = error instanceof CoreError || error instanceof Error
    return { ok: false, message: isOurs ? error.message : 'The clip could not be read. Nothing was kept.' }
  }
}

const worker = {
  fromFile: (file: File): Promise<ClipAnswer> => answer(() => fromFile(file)),
  fromSamples: (samples: Float32Array, sampleRateHz: number): Promise<ClipAnswer> =>
    answer(() => prepared(samples, sampleRateHz, samples.length / sampleRateHz)),
}

/** What the page may ask. */
export type ClipWorker = typeof worker

expose(worker)
