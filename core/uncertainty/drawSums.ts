import type { Contribution } from './contribution'
import { RandomIntegers } from './randomIntegers'
import { shapeOf } from './shapes'

/** A part of a simulation that is drawn by itself. */
export interface PartOfDraws {
  trials: number
  seed: number
  /** Which of the seed’s streams, from 0. */
  stream: number
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
  rules = createDrawingRules(),
): Float64Array {
  const random = new RandomIntegers(seed, stream)
  const sums = new Float64Array(trials)
  for (const one of contributions) if (one.halfWidth > 0) addDraws(sums, one, rules.of(one), random)
  return sums
}

/**
 * How each shape is drawn, and the tables some are drawn by. Handed in by the caller and kept as long as the caller
 * likes: whoever draws a budget again need not make its tables again.
 */
export interface DrawingRules {
  of: (one: Contribution) => Adder
}

/** Tables that are kept; beyond that the oldest goes. */
const MOST_TABLES = 64

/** Drawing rules that know no table yet; they keep some dozens, the latest. */
export function createDrawingRules(): DrawingRules {
  const made = new Map<string, Adder>()

  function byItsTable(one: Contribution): Adder {
    const known = made.get(one.shapeKey)
    if (known) return known
    const adder = byTable(one)
    if (made.size === MOST_TABLES) made.delete(made.keys().next().value!)
    made.set(one.shapeKey, adder)
    return adder
  }

  // The commonest shapes have a loop of their own: a million draws are wanted at once.
  return {
    of: one =>
      ADDERS[one.distribution] ?? (OF_ONE_NUMBER.has(one.distribution) ? byItsTable(one) : byShape(one)),
  }
}

/** Adds one draw of a contribution to every sum. */
function addDraws(sums: Float64Array, one: Contribution, add: Adder, random: RandomIntegers): void {
  const draws = new Int32Array(2 * BLOCK)
  for (let from = 0; from < sums.length; from += BLOCK) {
    const part = sums.subarray(from, from + BLOCK)
    const drawn = draws.subarray(0, add.wants(part.length))
    random.fill(drawn)
    add.to(part, drawn, one)
  }
}

/** Adds errors of one shape to sums. */
export interface Adder {
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
