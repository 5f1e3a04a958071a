import { expose } from 'comlink'
import { type Contribution, monteCarlo, type Simulated } from '#core/uncertainty'

/** A simulation as it crosses to the page: figures only. */
export type SimulatedFigures = Omit<Simulated, 'probabilityBelow' | 'medianDb'> & {
  probabilityBelow: number | null
}

const api = {
  /** Simulates a budget; with `belowDb` it also tells the share of draws at or under it. */
  simulate(
    contributions: Contribution[],
    options: { trials: number; seed: number; belowDb: number | null },
  ): SimulatedFigures {
    const { trials, seed, meanDb, standardDeviationDb, shortest, middle, ...rest } = monteCarlo(
      contributions,
      options,
    )
    return {
      trials,
      seed,
      meanDb,
      standardDeviationDb,
      shortest,
      middle,
      probabilityBelow: options.belowDb === null ? null : rest.probabilityBelow(options.belowDb),
    }
  },
}

export type BudgetWorker = typeof api

expose(api)
