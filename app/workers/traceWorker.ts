import { type Remote, wrap } from 'comlink'
import type { TraceAnswer, TraceWorker } from './trace.worker'

let remote: Remote<TraceWorker> | null = null
let broken: Promise<never> | null = null

/** Starts the trace worker before anybody asks: it is there once a sweep is. */
export async function warmTraceWorker(): Promise<void> {
  const none = new Float64Array(0)
  await askTraceWorker(worker => worker.thin({ frequenciesHz: none, levelsDbm: none }, 1))
}

/** Asks the trace worker; a worker that fails to start rejects instead of staying silent. */
export async function askTraceWorker<T>(
  ask: (worker: Remote<TraceWorker>) => Promise<TraceAnswer<T>>,
): Promise<T> {
  if (!remote || !broken) {
    const worker = new Worker(new URL('./trace.worker.ts', import.meta.url), { type: 'module' })
    broken = new Promise((_resolve, reject) =>
      worker.addEventListener('error', () => {
        remote = null
        reject(
          new Error(
            'The part of the program that reads traces did not start. Nothing was brought in; ' +
              'reload the page and try again.',
          ),
        )
      }),
    )
    broken.catch(() => {})
    remote = wrap<TraceWorker>(worker)
  }
  const answer = await Promise.race([ask(remote), broken])
  if (!answer.ok) throw new Error(answer.message)
  return answer.value
}
