import { expose } from 'comlink'
import { type Contribution, monteCarlo, type Simulated } from '#core/uncertainty'

/** A simulation as it crosses to the page: figures only. */
export type SimulatedFigures = Omit<Simulated, 'probabilityBelow' | 'median'> & {
  probabilityBelow: number | null
}

const api = {
  /** Small simulations of a budget: the browser compiles what it has seen run, and a person waits for the large one. */
  warmUp(contributions: Contribution[]): void {
    for (let round = 0; round < 3; round++) monteCarlo(contributions, { trials: 20_000 })
  },

  /** Simulates a budget; with `below` it also tells the share of draws at or under it. */
  simulate(
    contributions: Contribution[],
    options: { trials: number; seed: number; below: number | null },
  ): SimulatedFigures {
    const { trials, seed, mean, standardDeviation, shortest, middle, ...rest } = monteCarlo(
      contributions,
      options,
    )
    return {
      trials,
      seed,
      mean,
      standardDeviation,
      shortest,
      middle,
      probabilityBelow: options.below === null ? null : rest.probabilityBelow(options.below),
    }
  },
}

export type BudgetWorker = typeof api

expose(api)
