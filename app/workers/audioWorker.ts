import { type Remote, wrap } from 'comlink'
import type { SinadSettings } from '#core/signal'
import type { AudioWorker, HeardRecording } from './audio.worker'

let remote: Remote<AudioWorker> | null = null
let broken: Promise<never> | null = null

/** Reads SINAD from a recording of audio, off the page’s own thread. */
export async function hearRecording(
  file: File,
  channel: number,
  settings: SinadSettings,
): Promise<HeardRecording> {
  if (!remote || !broken) {
    const worker = new Worker(new URL('./audio.worker.ts', import.meta.url), { type: 'module' })
    broken = new Promise((_resolve, reject) =>
      worker.addEventListener('error', () => {
        remote = null
        reject(
          new Error(
            'The part of the program that reads audio did not start. Nothing was kept; reload the page and try again.',
          ),
        )
      }),
    )
    broken.catch(() => {})
    remote = wrap<AudioWorker>(worker)
  }
  const answer = await Promise.race([remote.hear(file, channel, settings), broken])
  if (!answer.ok) throw new Error(answer.message)
  return answer.value
}
