/** Share of the values that an interval holds. */
const COVERAGE = 0.95

/** The two ends of an interval. */
export interface Interval {
  low: number
  high: number
}

/** Shortest interval that holds 95 % of the values, and the one with 2.5 % of them on either side. */
export interface CoverageIntervals {
  shortest: Interval
  middle: Interval
}

/** Values at both ends of many, in no order. */
export interface OuterValues {
  lower: Float64Array
  upper: Float64Array
}

/**
 * Both intervals of some values, in their unit. O(values).
 * @see JCGM 101:2008, 5.3.4 and 7.7 (from memory).
 */
export function coverageIntervals(values: Float64Array): CoverageIntervals {
  return intervalsOf(outerValues(values, values.length), values.length)
}

/** How many of so many values lie outside an interval. */
const outsideOf = (trials: number): number => trials - Math.ceil(COVERAGE * trials)

/**
 * Of some of so many values those that the intervals of all of them may hang on, and a few more: whatever the others
 * are, the outermost of all are among the outermost of each part.
 */
export function outerValues(part: Float64Array, trials: number): OuterValues {
  return outermost(part, outsideOf(trials) + 1)
}

/** The intervals of so many values, by the outermost of them: only those are put in order. */
export function intervalsOf(outer: OuterValues, trials: number): CoverageIntervals {
  const outside = outsideOf(trials)
  const lower = outermost(outer.lower, outside + 1).lower.sort()
  const upper = outermost(outer.upper, outside + 1)
    .upper.sort()
    .slice(-outside - 1)
  let best = 0
  for (let i = 1; i <= outside; i++) if (upper[i]! - lower[i]! < upper[best]! - lower[best]!) best = i
  const edge = Math.floor(outside / 2)
  return {
    shortest: { low: lower[best]!, high: upper[best]! },
    middle: { low: lower[edge]!, high: upper[edge]! },
  }
}

const BINS = 4096

/** At least the `count` least and the `count` greatest values: a histogram tells where they begin. */
function outermost(values: Float64Array, count: number): OuterValues {
  const { least, most } = finiteEnds(values)
  const scale = (BINS - 1) / (most - least || 1)
  const counts = new Uint32Array(BINS)
  for (let i = 0; i < values.length; i++)
    counts[values[i] === -Infinity ? 0 : ((values[i]! - least) * scale) | 0]!++
  let low = 0
  for (let seen = 0; low < BINS && (seen += counts[low]!) < count;) low++
  let high = BINS - 1
  for (let seen = 0; high >= 0 && (seen += counts[high]!) < count;) high--
  const inBins = (from: number, to: number) => counts.subarray(from, to).reduce((sum, one) => sum + one, 0)
  const lower = new Float64Array(inBins(0, low + 3))
  const upper = new Float64Array(inBins(Math.max(0, high - 2), BINS))
  const lowEnd = least + (low + 2) / scale
  const highEnd = least + (high - 1) / scale
  let inLower = 0
  let inUpper = 0
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!
    if (value <= lowEnd) lower[inLower++] = value
    if (value >= highEnd) upper[inUpper++] = value
  }
  return { lower: lower.slice(0, inLower), upper: upper.slice(0, inUpper) }
}

/** The least and the greatest value, not counting what lies beyond all bounds below. */
function finiteEnds(values: Float64Array): { least: number; most: number } {
  let least = Infinity
  let most = -Infinity
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!
    if (value < least && value !== -Infinity) least = value
    if (value > most) most = value
  }
  return { least, most }
}
