import { assertInRange } from '../errors'
import type { Contribution } from './contribution'
import { RandomIntegers } from './randomIntegers'
import { shapeOf } from './shapes'

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

/** What a simulation of a budget came to. */
export interface Simulated {
  trials: number
  seed: number
  mean: number
  median: number
  standardDeviation: number
  /** Shortest interval that holds 95 % of the draws. */
  shortest: { low: number; high: number }
  /** Interval with 2.5 % of the draws on either side. */
  middle: { low: number; high: number }
  /** Share of draws at or under x. */
  probabilityBelow: (x: number) => number
}

const COVERAGE = 0.95

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
  return simulatedFrom(drawSums(contributions, { trials, seed, stream: 0 }), seed)
}

/** A part of a simulation that is drawn by itself. */
export interface PartOfDraws {
  trials: number
  seed: number
  /** Which of the seed’s streams, from 0. */
  stream: number
}

/** Parts of a simulation: always so many, so that its figures do not hang on how many draw them. */
const PARTS = 4

/** A simulation in parts that may be drawn at once, each by a stream of the seed’s own, alike in size. */
export function simulationParts({ trials, seed }: { trials: number; seed: number }): PartOfDraws[] {
  const upTo = (stream: number) => Math.floor((trials * stream) / PARTS)
  return Array.from({ length: PARTS }, (_unused, stream) => ({
    trials: upTo(stream + 1) - upTo(stream),
    seed,
    stream,
  }))
}

/** What parts that were drawn with a seed come to together, in the order of their streams. */
export function simulatedFromParts(parts: readonly Float64Array[], seed: number): Simulated {
  const sums = new Float64Array(parts.reduce((trials, part) => trials + part.length, 0))
  let from = 0
  for (const part of parts) {
    sums.set(part, from)
    from += part.length
  }
  return simulatedFrom(sums, seed)
}

function simulatedFrom(sums: Float64Array, seed: number): Simulated {
  const trials = sums.length
  let sorted: Float64Array | null = null
  const inOrder = () => (sorted ??= Float64Array.from(sums).sort())
  return {
    trials,
    seed,
    ...moments(sums),
    ...intervals(sums),
    get median() {
      return inOrder()[trials >> 1]!
    },
    // Asked once by whoever waits for a figure: putting a million in order takes far longer than looking at each.
    probabilityBelow: x => (sorted ? countBelow(sorted, x) : countEach(sums, x)) / trials,
  }
}

/** The generator's whole numbers run from −2³¹ to 2³¹ − 1. */
const PER_HALF = 2 ** -31
const PER_INTEGER = 2 ** -32

/** Draws made ahead; even, so that a pair of them is never cut in two. */
const BLOCK = 2048

/**
 * The sum of one draw of each contribution, so many times over: in the unit of the contributions, one number a trial,
 * in no order.
 */
export function drawSums(
  contributions: readonly Contribution[],
  { trials, seed, stream }: PartOfDraws,
): Float64Array {
  const random = new RandomIntegers(seed, stream)
  const sums = new Float64Array(trials)
  for (const one of contributions) if (one.halfWidth > 0) addDraws(sums, one, random)
  return sums
}

/**
 * Adds one draw of a contribution to every sum. The commonest shapes have a loop of their own: a million
 * draws are wanted at once.
 */
function addDraws(sums: Float64Array, one: Contribution, random: RandomIntegers): void {
  const ofOne = OF_ONE_NUMBER.has(one.distribution)
  const add = ADDERS[one.distribution] ?? (ofOne ? byTable(one) : byShape(one))
  const draws = new Int32Array(2 * BLOCK)
  for (let from = 0; from < sums.length; from += BLOCK) {
    const part = sums.subarray(from, from + BLOCK)
    const drawn = draws.subarray(0, add.wants(part.length))
    random.fill(drawn)
    add.to(part, drawn, one)
  }
}

interface Adder {
  /** Whole numbers it takes for so many errors. */
  wants: (errors: number) => number
  to: (sums: Float64Array, draws: Int32Array, one: Contribution) => void
}

/** Any other shape by its own drawing rule: two numbers for each error, wanted or not. */
function byShape(one: Contribution): Adder {
  const { draw } = shapeOf(one)
  return {
    wants: errors => 2 * errors,
    to: (sums, draws) => {
      for (let i = 0; i < sums.length; i++)
        sums[i]! += draw(shareOf(draws[2 * i]!), shareOf(draws[2 * i + 1]!))
    },
  }
}

/** Shapes whose drawing rule takes one number and rises or falls along a curve. */
const OF_ONE_NUMBER: ReadonlySet<Contribution['distribution']> = new Set([
  'two-ports',
  'between-points',
  'noise-removed',
  'displayed',
])

/** The drawing rule of such a shape from a table, straight lines between its cells, where they keep to the curve. */
function byTable(one: Contribution): Adder {
  const { draw, clipped, reach } = shapeOf(one)
  const at = (i: number) => draw(Math.min(i / CELLS, BEFORE_ONE), 0)
  if (clipped) return byShape(one)
  const errors = Float64Array.from({ length: CELLS + 2 }, (_unused, i) => at(i))
  for (let i = 0; i < CELLS; i++)
    if (!(Math.abs((errors[i]! + errors[i + 1]!) / 2 - at(i + 0.5)) <= OFF_THE_CURVE * reach))
      return byShape(one)
  return {
    wants: wanted => 2 * wanted,
    to: (sums, draws) => {
      for (let i = 0; i < sums.length; i++) {
        const place = shareOf(draws[2 * i]!) * CELLS
        const cell = place | 0
        const from = errors[cell]!
        sums[i]! += from + (place - cell) * (errors[cell + 1]! - from)
      }
    },
  }
}

/** No draw is ever 1. */
const BEFORE_ONE = 1 - PER_INTEGER / 2

/** Of a shape's reach: what a table may be out by. A million draws tell a range to a thousandth of it. */
const OFF_THE_CURVE = 1e-4

const ADDERS: Partial<Record<Contribution['distribution'], Adder>> = {
  rectangular: {
    wants: errors => errors,
    to: (sums, draws, { halfWidth }) => {
      for (let i = 0; i < sums.length; i++) sums[i]! += halfWidth * (draws[i]! * PER_HALF)
    },
  },
  'u-shaped': {
    wants: errors => errors,
    to: (sums, draws, { halfWidth }) => {
      for (let i = 0; i < sums.length; i++) sums[i]! += halfWidth * cosineOf(draws[i]!)
    },
  },
  normal: {
    // Pairs are drawn whole, also where the last of them is not wanted.
    wants: errors => errors + (errors % 2),
    to: (sums, draws, { standardUncertainty }) => {
      for (let i = 0; i < sums.length; i += 2) {
        const radius = standardUncertainty * Math.sqrt(-2 * Math.log(shareOf(draws[i]!)))
        sums[i]! += radius * cosineOf(draws[i + 1]!)
        if (i + 1 < sums.length) sums[i + 1]! += radius * sineOf(draws[i + 1]!)
      }
    },
  },
}

/** Cells of the table of cosines from 0 to π; straight lines between them are out by less than 2e-8. */
const CELLS = 8192
const COSINES = Float64Array.from({ length: CELLS + 2 }, (_unused, i) => Math.cos((Math.PI * i) / CELLS))

/** Cosine of a whole number of the generator taken as an angle from −π to π. */
function cosineOf(turn: number): number {
  const place = Math.abs(turn) * (CELLS * PER_HALF)
  const cell = place | 0
  const from = COSINES[cell]!
  return from + (place - cell) * (COSINES[cell + 1]! - from)
}

/** Its sine: the cosine a quarter of a turn back. */
function sineOf(turn: number): number {
  return cosineOf((turn - QUARTER_TURN) | 0)
}

const QUARTER_TURN = 2 ** 30

/** Uniform in (0, 1), never 0 or 1. */
export function uniform(random: { next: () => number }): number {
  return shareOf(random.next())
}

/** Where a whole number of the generator stands among all of them, never 0 or 1. */
function shareOf(drawn: number): number {
  return (drawn >>> 0) * PER_INTEGER + PER_INTEGER / 2
}

/** Shortest interval that holds 95 % of the values. */
export function shortestInterval(values: Float64Array): Simulated['shortest'] {
  return intervals(values).shortest
}

const BINS = 4096

/**
 * Shortest and middle interval that hold 95 %. Only the outer 5 % at each end are put in order: a histogram
 * tells where they begin.
 */
function intervals(sums: Float64Array): Pick<Simulated, 'shortest' | 'middle'> {
  const inside = Math.ceil(COVERAGE * sums.length)
  const outside = sums.length - inside
  const { lower, upper } = tails(sums, outside + 1)
  let best = 0
  for (let i = 1; i <= outside; i++) if (upper[i]! - lower[i]! < upper[best]! - lower[best]!) best = i
  const edge = Math.floor(outside / 2)
  return {
    shortest: { low: lower[best]!, high: upper[best]! },
    middle: { low: lower[edge]!, high: upper[edge]! },
  }
}

/** The `count` least and the `count` greatest values, each in rising order. */
function tails(values: Float64Array, count: number): { lower: Float64Array; upper: Float64Array } {
  let least = Infinity
  let most = -Infinity
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!
    if (value < least && value !== -Infinity) least = value
    if (value > most) most = value
  }
  const scale = (BINS - 1) / (most - least || 1)
  const counts = new Uint32Array(BINS)
  for (let i = 0; i < values.length; i++)
    counts[values[i] === -Infinity ? 0 : ((values[i]! - least) * scale) | 0]!++
  let low = 0
  for (let seen = 0; low < BINS && (seen += counts[low]!) < count;) low++
  let high = BINS - 1
  for (let seen = 0; high >= 0 && (seen += counts[high]!) < count;) high--
  const lowEnd = least + (low + 2) / scale
  const highEnd = least + (high - 1) / scale
  const inBins = (from: number, to: number) => counts.subarray(from, to).reduce((sum, one) => sum + one, 0)
  const atLow = inBins(0, low + 3)
  const atHigh = inBins(Math.max(0, high - 2), BINS)
  return {
    lower: picked(values, atLow, value => value <= lowEnd).subarray(0, count),
    upper: picked(values, atHigh, value => value >= highEnd).slice(-count),
  }
}

/** The values a test picks, at most so many, in rising order. */
function picked(values: Float64Array, most: number, wanted: (value: number) => boolean): Float64Array {
  const found = new Float64Array(most)
  let n = 0
  for (let i = 0; i < values.length; i++) if (wanted(values[i]!)) found[n++] = values[i]!
  return found.subarray(0, n).sort()
}

function moments(values: Float64Array): { mean: number; standardDeviation: number } {
  let sum = 0
  for (let i = 0; i < values.length; i++) sum += values[i]!
  const mean = sum / values.length
  let squares = 0
  for (let i = 0; i < values.length; i++) squares += (values[i]! - mean) ** 2
  return { mean, standardDeviation: Math.sqrt(squares / (values.length - 1)) }
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
