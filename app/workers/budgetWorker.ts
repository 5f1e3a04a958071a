import { type Remote, transfer, wrap } from 'comlink'
import {
  type Contribution,
  type SimulatedFigures,
  SIMULATION_PARTS,
  simulationParts,
} from '#core/uncertainty'
import { brokenWorker } from './brokenWorker'
import { drawnBuffers } from './drawnBuffers'
import type { BudgetWorker } from './budget.worker'

const NOT_STARTED = 'The simulation did not start. Reload the page and try again.'

interface Crew {
  remotes: Remote<BudgetWorker>[]
  /** Rejects when a worker breaks. */
  broken: Promise<never>
}

let warm: Crew | null = null

/** Starts the workers and shows them such a budget, so that they answer at once when they are asked. */
export function warmBudgetWorkers(contributions: readonly Contribution[]): void {
  const { remotes, broken } = startedCrew()
  const shown = remotes.map(remote => remote.warmUp(plain(contributions)))
  void Promise.race([Promise.all(shown), broken]).catch(() => {})
}

/** As many workers as have a processor to themselves and a part to draw; they stay for the next question. */
function startedCrew(): Crew {
  if (warm) return warm
  const size = Math.max(1, Math.min(SIMULATION_PARTS, navigator.hardwareConcurrency || 1))
  const workers = Array.from(
    { length: size },
    () => new Worker(new URL('./budget.worker.ts', import.meta.url), { type: 'module' }),
  )
  const broken = Promise.race(workers.map(worker => brokenWorker(worker, NOT_STARTED)))
  broken.catch(() => {
    warm = null
    for (const worker of workers) worker.terminate()
  })
  return (warm = { remotes: workers.map(worker => wrap<BudgetWorker>(worker)), broken })
}

/** Simulates a budget in the workers; rejects where one fails to start. */
export function simulateBudget(
  contributions: readonly Contribution[],
  options: { trials: number; seed: number },
): Promise<SimulatedFigures> {
  const { remotes, broken } = startedCrew()
  return Promise.race([simulatedBy(remotes, plain(contributions), options), broken])
}

async function simulatedBy(
  remotes: Remote<BudgetWorker>[],
  contributions: Contribution[],
  options: { trials: number; seed: number },
): Promise<SimulatedFigures> {
  const drawn = await Promise.all(
    simulationParts(options).map((part, i) => remotes[i % remotes.length]!.draw(contributions, part)),
  )
  const handedOver = transfer(drawn, drawn.flatMap(drawnBuffers))
  return remotes[0]!.conclude(handedOver, options.seed)
}

/** Without what a page wraps around its objects, which does not cross to a worker. */
const plain = (contributions: readonly Contribution[]) => contributions.map(one => ({ ...one }))
