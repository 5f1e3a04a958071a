import { type Remote, wrap } from 'comlink'
import type { PreparedClip } from '#core/sound'
import { brokenWorker } from './brokenWorker'
import type { ClipWorker } from './clip.worker'

/** What came of reading a clip. */
export type ClipAnswer = { ok: true; value: PreparedClip } | { ok: false; message: string }

let remote: Remote<ClipWorker> | null = null
let broken: Promise<never> | null = null

const NOT_STARTED =
  'The part of the program that reads clips did not start. Nothing was kept; reload the page and try again.'

async function ask(work: (worker: Remote<ClipWorker>) => Promise<ClipAnswer>): Promise<PreparedClip> {
  if (!remote || !broken) {
    const worker = new Worker(new URL('./clip.worker.ts', import.meta.url), { type: 'module' })
    worker.addEventListener('error', () => (remote = null))
    broken = brokenWorker(worker, NOT_STARTED)
    remote = wrap<ClipWorker>(worker)
  }
  const answer = await Promise.race([work(remote), broken])
  if (!answer.ok) throw new Error(answer.message)
  return answer.value
}

/** Makes a clip of a WAV file, off the page’s own thread. @throws Error in plain words. */
export function clipFromFile(file: File): Promise<PreparedClip> {
  return ask(worker => worker.fromFile(file))
}

/** Makes a clip of what was recorded, full scale 1. @throws Error in plain words. */
export function clipFromSamples(samples: Float32Array, sampleRateHz: number): Promise<PreparedClip> {
  return ask(worker => worker.fromSamples(samples, sampleRateHz))
}
