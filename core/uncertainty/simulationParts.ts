import type { Contribution } from './contribution'
import { intervalsOf, type OuterValues, outerValues } from './coverageIntervals'
import { type DrawingRules, drawSums, type PartOfDraws } from './drawSums'
import { type SimulatedFigures, spread } from './monteCarlo'

/** Parts of a simulation: always so many, so that its figures do not hang on how many draw them. */
export const SIMULATION_PARTS = 4

/** A part of a simulation, and how many trials all of it has. */
export interface SimulationPart extends PartOfDraws {
  /** Trials of all parts together. */
  ofTrials: number
}

/** What of a part's draws all of them come to hangs on, in the unit of the contributions. */
export interface DrawnPart extends OuterValues {
  trials: number
  mean: number
  /** Sum of the squares of how far each draw is from the mean. */
  squares: number
}

/** A simulation in parts that may be drawn at once, each by a stream of the seed’s own, alike in size. */
export function simulationParts({ trials, seed }: { trials: number; seed: number }): SimulationPart[] {
  const upTo = (stream: number) => Math.floor((trials * stream) / SIMULATION_PARTS)
  return Array.from({ length: SIMULATION_PARTS }, (_unused, stream) => ({
    trials: upTo(stream + 1) - upTo(stream),
    seed,
    stream,
    ofTrials: trials,
  }))
}

/** Draws one part, and takes from it what all of them hang on. */
export function drawnPart(
  contributions: readonly Contribution[],
  part: SimulationPart,
  rules?: DrawingRules,
): DrawnPart {
  const sums = drawSums(contributions, part, rules)
  return { trials: part.trials, ...spread(sums), ...outerValues(sums, part.ofTrials) }
}

/**
 * What parts that were drawn with a seed come to together.
 * @see T. Chan, G. Golub, R. LeVeque, The American Statistician 37 (1983) 242, for the spread of parts (from memory).
 */
export function simulatedFromParts(parts: readonly DrawnPart[], seed: number): SimulatedFigures {
  const over = (take: (part: DrawnPart) => number) => parts.reduce((sum, part) => sum + take(part), 0)
  const trials = over(part => part.trials)
  const mean = over(part => part.trials * part.mean) / trials
  const squares = over(part => part.squares + part.trials * (part.mean - mean) ** 2)
  const lower = joined(parts.map(part => part.lower))
  const upper = joined(parts.map(part => part.upper))
  return {
    trials,
    seed,
    mean,
    standardDeviation: Math.sqrt(squares / (trials - 1)),
    ...intervalsOf({ lower, upper }, trials),
  }
}

function joined(arrays: readonly Float64Array[]): Float64Array {
  const all = new Float64Array(arrays.reduce((length, one) => length + one.length, 0))
  let from = 0
  for (const one of arrays) {
    all.set(one, from)
    from += one.length
  }
  return all
}
