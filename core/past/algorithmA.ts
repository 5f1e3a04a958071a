/** A robust mean and spread of several benches. */
export interface Consensus {
  mean: number
  /** Robust standard deviation. */
  spread: number
  /** Standard uncertainty of the mean. */
  meanUncertainty: number
}

/** Factors of the algorithm (ISO 13528:2022, C.3.1, from memory). */
const CUT = 1.5
const SPREAD_FACTOR = 1.134
const MEDIAN_FACTOR = 1.483
/** Standard uncertainty of a mean made of cut values, over that of a plain mean (ISO 13528, 7.7.3, from memory). */
const MEAN_FACTOR = 1.25
const MOST_ROUNDS = 500

/**
 * Algorithm A: values far from the rest are drawn in until mean and spread stand still. Three values at least.
 * @see ISO 13528:2022, C.3.1 (from memory).
 * @throws RangeError for fewer than three values.
 */
export function algorithmA(values: readonly number[]): Consensus {
  if (values.length < 3) throw new RangeError('Three values at least.')
  let mean = median(values)
  let spread = MEDIAN_FACTOR * median(values.map(value => Math.abs(value - mean)))
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const cut = CUT * spread
    const drawn = values.map(value => Math.min(mean + cut, Math.max(mean - cut, value)))
    const nextMean = drawn.reduce((sum, value) => sum + value, 0) / drawn.length
    const squares = drawn.reduce((sum, value) => sum + (value - nextMean) ** 2, 0)
    const nextSpread = SPREAD_FACTOR * Math.sqrt(squares / (drawn.length - 1))
    const isStill = Math.abs(nextMean - mean) < 1e-9 && Math.abs(nextSpread - spread) < 1e-9
    mean = nextMean
    spread = nextSpread
    if (isStill) break
  }
  return { mean, spread, meanUncertainty: (MEAN_FACTOR * spread) / Math.sqrt(values.length) }
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}
