import { expose, transfer } from 'comlink'
import { type Contribution, drawSums, type Simulated, simulatedFrom } from '#core/uncertainty'

/** A simulation as it crosses to the page: figures only. */
export type SimulatedFigures = Omit<Simulated, 'probabilityBelow' | 'median'>

/** What a part of a simulation is drawn by. */
export interface PartOfDraws {
  trials: number
  seed: number
  /** Which of the seed’s streams. */
  stream: number
}

const api = {
  /** Small simulations of a budget: the browser compiles what it has seen run, and a person waits for the large one. */
  warmUp(contributions: Contribution[]): void {
    for (let stream = 0; stream < 3; stream++)
      simulatedFrom(drawSums(contributions, { trials: 20_000, seed: 1, stream }), 1)
  },

  /** The sums of one part; they are handed over, not copied. */
  draw(contributions: Contribution[], part: PartOfDraws): Float64Array {
    const sums = drawSums(contributions, part)
    return transfer(sums, [sums.buffer])
  },

  /** What all parts come to together. */
  conclude(parts: Float64Array[], seed: number): SimulatedFigures {
    const sums = new Float64Array(parts.reduce((trials, part) => trials + part.length, 0))
    let from = 0
    for (const part of parts) {
      sums.set(part, from)
      from += part.length
    }
    const { trials, mean, standardDeviation, shortest, middle } = simulatedFrom(sums, seed)
    return { trials, seed, mean, standardDeviation, shortest, middle }
  },
}

export type BudgetWorker = typeof api

expose(api)
