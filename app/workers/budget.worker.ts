import { expose, transfer } from 'comlink'
import {
  type Contribution,
  drawSums,
  type PartOfDraws,
  type Simulated,
  simulatedFromParts,
  simulationParts,
} from '#core/uncertainty'

/** A simulation as it crosses to the page: figures only. */
export type SimulatedFigures = Omit<Simulated, 'probabilityBelow' | 'median'>

const api = {
  /** Small simulations of a budget: the browser compiles what it has seen run, and a person waits for the large one. */
  warmUp(contributions: Contribution[]): void {
    const parts = simulationParts({ trials: 80_000, seed: 1 })
    for (const part of parts) simulatedFromParts([drawSums(contributions, part)], part.seed)
  },

  /** The sums of one part; they are handed over, not copied. */
  draw(contributions: Contribution[], part: PartOfDraws): Float64Array {
    const sums = drawSums(contributions, part)
    return transfer(sums, [sums.buffer])
  },

  /** What all parts come to together. */
  conclude(parts: Float64Array[], seed: number): SimulatedFigures {
    const { trials, mean, standardDeviation, shortest, middle } = simulatedFromParts(parts, seed)
    return { trials, seed, mean, standardDeviation, shortest, middle }
  },
}

export type BudgetWorker = typeof api

expose(api)
