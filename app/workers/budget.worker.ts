import { expose, transfer } from 'comlink'
import {
  type Contribution,
  createDrawingRules,
  type DrawnPart,
  drawnPart,
  type SimulatedFigures,
  simulatedFromParts,
  type SimulationPart,
  simulationParts,
} from '#core/uncertainty'
import { drawnBuffers } from './drawnBuffers'

const rules = createDrawingRules()

const api = {
  /** A small simulation of a budget: the browser compiles what it has seen run. */
  warmUp(contributions: Contribution[]): void {
    const parts = simulationParts({ trials: 320_000, seed: 1 })
    simulatedFromParts(
      parts.map(part => drawnPart(contributions, part, rules)),
      1,
    )
  },

  /** One part; its draws are handed over, not copied. */
  draw(contributions: Contribution[], part: SimulationPart): DrawnPart {
    const drawn = drawnPart(contributions, part, rules)
    return transfer(drawn, drawnBuffers(drawn))
  },

  /** What all parts come to together. */
  conclude: (parts: DrawnPart[], seed: number): SimulatedFigures => simulatedFromParts(parts, seed),
}

export type BudgetWorker = typeof api

expose(api)
