import { type Remote, wrap } from 'comlink'
import type { Contribution } from '#core/uncertainty'
import type { BudgetWorker, SimulatedFigures } from './budget.worker'

interface Warm {
  remote: Remote<BudgetWorker>
  /** Rejects when the worker breaks. */
  broken: Promise<never>
}

let warm: Warm | null = null

/** Starts the worker and shows it such a budget, so that it answers at once when it is asked. */
export function warmBudgetWorker(contributions: readonly Contribution[]): void {
  const { remote, broken } = startedWorker()
  void Promise.race([remote.warmUp(plain(contributions)), broken]).catch(() => {})
}

/** The worker; it stays for the next question. */
function startedWorker(): Warm {
  if (warm) return warm
  const worker = new Worker(new URL('./budget.worker.ts', import.meta.url), { type: 'module' })
  const broken = new Promise<never>((_resolve, reject) =>
    worker.addEventListener('error', () => {
      warm = null
      worker.terminate()
      reject(new Error('The simulation did not start. Reload the page and try again.'))
    }),
  )
  broken.catch(() => {})
  return (warm = { remote: wrap<BudgetWorker>(worker), broken })
}

/** Simulates a budget in the worker; one that fails to start rejects. */
export function simulateBudget(
  contributions: readonly Contribution[],
  options: { trials: number; seed: number; below: number | null },
): Promise<SimulatedFigures> {
  const { remote, broken } = startedWorker()
  return Promise.race([remote.simulate(plain(contributions), options), broken])
}

/** Without what a page wraps around its objects, which does not cross to a worker. */
const plain = (contributions: readonly Contribution[]) => contributions.map(one => ({ ...one }))
