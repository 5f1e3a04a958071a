import { wrap } from 'comlink'
import type { Contribution } from '#core/uncertainty'
import type { BudgetWorker, SimulatedFigures } from './budget.worker'

/** Simulates a budget in a worker of its own, which ends with the answer; one that fails to start rejects. */
export async function simulateBudget(
  contributions: readonly Contribution[],
  options: { trials: number; seed: number; belowDb: number | null },
): Promise<SimulatedFigures> {
  const worker = new Worker(new URL('./budget.worker.ts', import.meta.url), { type: 'module' })
  const broken = new Promise<never>((_resolve, reject) =>
    worker.addEventListener('error', () =>
      reject(new Error('The simulation did not start. Reload the page and try again.')),
    ),
  )
  try {
    return await Promise.race([
      wrap<BudgetWorker>(worker).simulate(
        contributions.map(one => ({ ...one })),
        options,
      ),
      broken,
    ])
  } finally {
    worker.terminate()
  }
}
