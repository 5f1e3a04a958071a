import { assertInRange } from '../errors'
import type { Contribution } from './contribution'
import { coverageIntervals, type CoverageIntervals } from './coverageIntervals'
import { drawSums } from './drawSums'

/** How often is drawn, and with which seed. */
export interface MonteCarloOptions {
  /** Draws, 100 to 20 million. */
  trials?: number
  /** Same seed, same figures. */
  seed?: number
}

/** A million draws (JCGM 101:2008, 7.2.1, asks for about as many; from memory). */
export const MONTE_CARLO_DEFAULTS = {
  trials: 1_000_000,
  seed: 1,
} as const satisfies Required<MonteCarloOptions>

/** The figures a simulation of a budget came to, in the unit of its contributions. */
export interface SimulatedFigures extends CoverageIntervals {
  trials: number
  seed: number
  mean: number
  standardDeviation: number
}

/** A simulation of a budget, which can still be asked after its draws. */
export interface Simulated extends SimulatedFigures {
  median: number
  /** Share of draws at or under x. */
  probabilityBelow: (x: number) => number
}

/**
 * Propagates a budget's distributions by simulation: the sum of one draw of each contribution, many times
 * over.
 * @throws CoreError `out-of-range` for a silly number of trials.
 * @see JCGM 101:2008, 7.4 to 7.7 and 5.3.4 (shortest interval); from memory.
 */
export function monteCarlo(
  contributions: readonly Contribution[],
  options: MonteCarloOptions = {},
): Simulated {
  const { trials = MONTE_CARLO_DEFAULTS.trials, seed = MONTE_CARLO_DEFAULTS.seed } = options
  assertInRange('Trials', trials, 100, 20e6)
  const sums = drawSums(contributions, { trials, seed, stream: 0 })
  const { mean, squares } = spread(sums)
  let sorted: Float64Array | null = null
  const inOrder = () => (sorted ??= Float64Array.from(sums).sort())
  return {
    trials,
    seed,
    mean,
    standardDeviation: Math.sqrt(squares / (trials - 1)),
    ...coverageIntervals(sums),
    get median() {
      return inOrder()[trials >> 1]!
    },
    // Asked once by whoever waits for a figure: putting a million in order takes far longer than looking at each.
    probabilityBelow: x => (sorted ? countBelow(sorted, x) : countEach(sums, x)) / trials,
  }
}

/** The mean of values, and the sum of the squares of how far each is from it. */
export function spread(values: Float64Array): { mean: number; squares: number } {
  let sum = 0
  for (let i = 0; i < values.length; i++) sum += values[i]!
  const mean = sum / values.length
  let squares = 0
  for (let i = 0; i < values.length; i++) squares += (values[i]! - mean) ** 2
  return { mean, squares }
}

function countEach(values: Float64Array, x: number): number {
  let count = 0
  for (let i = 0; i < values.length; i++) if (values[i]! <= x) count++
  return count
}

function countBelow(sorted: Float64Array, x: number): number {
  let low = 0
  let high = sorted.length
  while (low < high) {
    const middle = (low + high) >>> 1
    if (sorted[middle]! <= x) low = middle + 1
    else high = middle
  }
  return low
}
