import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { coverageIntervals, type Interval } from './coverageIntervals'
import { uniform } from './drawSums'
import { type MonteCarloOptions, MONTE_CARLO_DEFAULTS, spread } from './monteCarlo'

/** What a simulated model came to. */
export interface Propagated {
  mean: number
  standardDeviation: number
  shortest: Interval
}

/**
 * Propagates distributions through any model by simulation.
 * @param draws - one function per input that turns a uniform source into a draw.
 * @param model - the measured quantity as a function of the inputs, in the order of `draws`.
 * @see JCGM 101:2008, clause 7 (from memory).
 */
export function propagate(
  draws: readonly ((random: () => number) => number)[],
  model: (values: readonly number[]) => number,
  options: MonteCarloOptions = {},
): Propagated {
  const { trials = MONTE_CARLO_DEFAULTS.trials, seed = MONTE_CARLO_DEFAULTS.seed } = options
  const source = xoroshiro128plus(seed)
  const random = () => uniform(source)
  const results = new Float64Array(trials)
  const values = draws.map(() => 0)
  for (let i = 0; i < trials; i++) {
    for (let k = 0; k < draws.length; k++) values[k] = draws[k]!(random)
    results[i] = model(values)
  }
  const { mean, squares } = spread(results)
  const { shortest } = coverageIntervals(results)
  return { mean, standardDeviation: Math.sqrt(squares / (trials - 1)), shortest }
}
