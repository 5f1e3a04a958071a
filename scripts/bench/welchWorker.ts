// One of the two workers of the spectrum’s bench: a stretch of a file of 32-bit I/Q, by the same code the
// application’s workers run.
import { open } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { pathToFileURL } from 'node:url'
import { parentPort, workerData } from 'node:worker_threads'
import { decodeSamples } from '../../core/format'
import {
  fastFft,
  type FastFftModule,
  forEachSlice,
  portableFft,
  type SampleSource,
  Welch,
} from '../../core/signal'

interface Start {
  path: string
  sampleCount: number
  root: string
  engine: 'fast' | 'portable'
}

const { path, sampleCount, root, engine } = workerData as Start
const file = await open(path)
const module = (await import(
  pathToFileURL(createRequire(`${root}/package.json`).resolve('@echogarden/pffft-wasm/simd')).href
)) as { default: () => Promise<FastFftModule> }
const fft = engine === 'fast' ? fastFft(await module.default()) : portableFft
const source: SampleSource = {
  sampleRateHz: 1e6,
  centreHz: null,
  sampleCount,
  layout: 'iq',
  read: async (from, count) => {
    const bytes = new Uint8Array(8 * Math.min(count, sampleCount - from))
    await file.read(bytes, 0, bytes.length, 8 * from)
    return decodeSamples(
      bytes,
      { encoding: 'float', bits: 32, littleEndian: true, channels: 2 },
      { kind: 'iq' },
    )
  },
}
parentPort!.on('message', async ({ from, to, size }: { from: number; to: number; size: number }) => {
  const welch = new Welch({ size, window: 'hann' }, fft)
  await forEachSlice(source, { from, to }, slice => welch.add(slice))
  parentPort!.postMessage(welch.sums())
  welch.release()
})
parentPort!.postMessage('ready')
