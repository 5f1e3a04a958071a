import loadFastFft from '@echogarden/pffft-wasm/simd'
import { expose, transfer } from 'comlink'
import { createSHA256 } from 'hash-wasm'
import { CoreError } from '#core/errors'
import {
  type ByteSource,
  type ChannelUse,
  openRecordings,
  type Recording,
  samplesOf,
  type SigmfMeta,
} from '#core/format'
import {
  type AnalysisSettings,
  concludeAnalysis,
  fastFft,
  type FftEngine,
  type GatheredStretch,
  gatherStretch,
  portableFft,
  type RecordingAnalysis,
  type SamplePart,
  sizeFor,
  type SpectrumCurve,
  spectrumCurve,
  type LookSums,
  lookThrough,
  joinLooks,
  type ReceiverInsight,
  receiverInsight,
  type Wanted,
  zoomSpectrum,
} from '#core/signal'
import { simulatedFm, type SimulatedFm, type SimulatedLine, simulatedLines } from '#core/virtual'

/** What a page must know of a recording before it is analysed. */
export interface RecordingLook {
  name: string
  /** The file it lies in, as it was dropped. */
  fileName: string
  firstSample: number
  bytes: number
  seconds: number
  sampleRateHz: number
  centreHz: number | null
  mayBeIq: boolean
  channels: number
  sampleCount: number
  understood: string[]
  warnings: string[]
  meta: SigmfMeta
}

/** Which recording of the files, and how it is taken. */
export interface RecordingChoice extends SamplePart {
  index: number
  use: ChannelUse
  sampleRateHz: number
  centreHz: number | null
}

export type RecordingAnswer<T> = { ok: true; value: T } | { ok: false; message: string }

let engine: FftEngine | null = null
let opened: { files: readonly File[]; recordings: Recording[] } | null = null

/** The fast transform; a browser without SIMD takes the portable one. */
async function engineOf(): Promise<FftEngine> {
  if (!engine) {
    try {
      engine = fastFft(await loadFastFft())
    } catch {
      engine = portableFft
    }
  }
  return engine
}

function sourceOf(file: File): ByteSource {
  return {
    name: file.name,
    byteLength: file.size,
    read: async (from, to) => new Uint8Array(await file.slice(from, to).arrayBuffer()),
  }
}

async function recordingsOf(files: readonly File[]): Promise<Recording[]> {
  if (
    !opened ||
    opened.files.length !== files.length ||
    opened.files.some(
      (file, i) =>
        file.name !== files[i]!.name ||
        file.size !== files[i]!.size ||
        file.lastModified !== files[i]!.lastModified,
    )
  )
    opened = { files, recordings: await openRecordings(files.map(sourceOf)) }
  return opened.recordings
}

async function samples(files: readonly File[], choice: RecordingChoice) {
  const recording = (await recordingsOf(files))[choice.index]!
  return samplesOf(recording, choice.use, choice)
}

async function answer<T>(run: () => Promise<T>): Promise<RecordingAnswer<T>> {
  try {
    return { ok: true, value: await run() }
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, message: error.message }
    if (error instanceof DOMException && error.name === 'NotReadableError')
      return {
        ok: false,
        message: 'The file changed or went away while it was read. Nothing was kept; bring it in again.',
      }
    throw error
  }
}

const HASH_SLICE = 8_000_000

const api = {
  look: (files: readonly File[]): Promise<RecordingAnswer<RecordingLook[]>> =>
    answer(async () =>
      (await recordingsOf(files)).map(one => ({
        name: one.name,
        fileName: one.fileName,
        firstSample: one.firstSample,
        bytes: one.byteLength,
        seconds: one.sampleCount / one.sampleRateHz,
        sampleRateHz: one.sampleRateHz,
        centreHz: one.centreHz,
        mayBeIq: one.mayBeIq,
        channels: one.format.channels,
        sampleCount: one.sampleCount,
        understood: one.understood,
        warnings: one.warnings,
        meta: one.meta,
      })),
    ),

  /** A first look through a stretch of I and Q: what stands in it, when it is keyed, what the receiver did to it. */
  through: (
    files: readonly File[],
    choice: RecordingChoice,
    stretch: { from: number; to: number },
    onProgress: (share: number) => void,
  ): Promise<RecordingAnswer<LookSums>> =>
    answer(async () => {
      const engine = await engineOf()
      const look = await lookThrough(await samples(files, choice), { ...stretch, engine, onProgress })
      return transfer(look, [look.levels.counts.buffer, look.power.buffer, look.welch.sum.buffer])
    }),

  /** What the looks through all stretches tell. */
  insight: (
    looks: readonly LookSums[],
    source: { sampleRateHz: number; sampleCount: number; centreHz: number | null },
    channelHalfHz: number,
  ): Promise<RecordingAnswer<ReceiverInsight>> =>
    answer(async () => receiverInsight(joinLooks(looks), source, channelHalfHz)),

  gather: (
    files: readonly File[],
    choice: RecordingChoice,
    what: { settings: AnalysisSettings; stretch: { from: number; to: number } },
    onProgress: (share: number) => void,
  ): Promise<RecordingAnswer<GatheredStretch>> =>
    answer(async () => {
      const gathered = await gatherStretch(await samples(files, choice), what.settings, {
        ...what.stretch,
        engine: await engineOf(),
        onProgress,
      })
      return transfer(gathered, [
        gathered.welch.sum.buffer,
        gathered.welch.highest.buffer,
        gathered.picture.levelsDb.buffer,
      ])
    }),

  conclude: (
    stretches: readonly GatheredStretch[],
    source: { sampleRateHz: number; centreHz: number | null; sampleCount: number; layout: 'iq' | 'audio' },
    wanted: Wanted & Pick<AnalysisSettings, 'fmShiftHz' | 'insight'>,
  ): Promise<RecordingAnswer<RecordingAnalysis>> =>
    answer(async () => concludeAnalysis(stretches, source, wanted)),

  /** A closer look at a stretch of the spectrum. */
  zoom: (
    files: readonly File[],
    choice: RecordingChoice,
    around: { middleHz: number; widthHz: number; insight: ReceiverInsight | null },
    onProgress: (share: number) => void,
  ): Promise<RecordingAnswer<SpectrumCurve>> =>
    answer(async () => {
      const source = await samples(files, choice)
      const size = sizeFor(1.5 * around.widthHz, {
        resolutionHz: around.widthHz / 400,
        enbwBins: 2,
        sampleCount: Math.floor((source.sampleCount * 1.5 * around.widthHz) / source.sampleRateHz),
      })
      const spectrum = await zoomSpectrum(
        source,
        { ...around, size, window: 'blackman-harris', correction: around.insight?.correction ?? null },
        await engineOf(),
        { onProgress },
      )
      return spectrumCurve(spectrum, {
        carrierHz: around.middleHz,
        withinHz: around.widthHz / 2,
        points: 900,
        referenceDb: 0,
      })
    }),

  /** SHA-256 of the file that holds the samples, read in slices. */
  hash: (file: File): Promise<RecordingAnswer<string>> =>
    answer(async () => {
      const hasher = await createSHA256()
      for (let at = 0; at < file.size; at += HASH_SLICE)
        hasher.update(new Uint8Array(await file.slice(at, at + HASH_SLICE).arrayBuffer()))
      return hasher.digest()
    }),

  /** What a simulated receiver records of a simulated radio: single-precision I/Q. */
  simulate: async (
    wanted:
      | { kind: 'fm'; fm: SimulatedFm }
      | { kind: 'lines'; sampleRateHz: number; seconds: number; lines: SimulatedLine[]; noiseDb: number },
  ): Promise<ArrayBuffer> => {
    const made = wanted.kind === 'fm' ? simulatedFm(wanted.fm) : simulatedLines(wanted)
    const buffer = made.buffer as ArrayBuffer
    return transfer(buffer, [buffer])
  },
}

export type RecordingWorker = typeof api

expose(api)
