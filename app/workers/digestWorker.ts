import { wrap } from 'comlink'
import type { ReviewDigest } from '#core/past'
import { brokenWorker } from './brokenWorker'
import type { DigestWorker } from './digest.worker'

/** Works reviews through one after the other, beside the page, as long as it is wanted. */
export function digester(): { digest: (kept: unknown) => Promise<ReviewDigest>; stop: () => void } {
  const worker = new Worker(new URL('./digest.worker.ts', import.meta.url), { type: 'module' })
  const broken = brokenWorker(worker, 'The part of the program that works reviews through did not start.')
  const api = wrap<DigestWorker>(worker)
  return {
    digest: kept => Promise.race([api.digest(kept), broken]),
    stop: () => worker.terminate(),
  }
}
