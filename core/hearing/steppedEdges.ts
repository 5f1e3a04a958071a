import normalCdf from '@stdlib/stats-base-dists-normal-cdf'

/** Levels of a generator between which an edge lay, dBm. */
export interface EdgeSeen {
  fromDbm: number
  toDbm: number
}

/** Where something lies, and half of its 95 % range. */
export interface Located {
  value: number
  halfRange: number
}

/**
 * How far edges may scatter from one time to the next, dB: nobody knows before they are seen (assumed; common
 * practice, no source).
 */
const SCATTER_DB = { from: 0.03, to: 1.5, count: 24 }

/** Levels looked at for each edge. */
const CELLS = 240

/** So far beyond what was seen an edge may lie, dB. */
const BEYOND_DB = 4

/**
 * Where two edges lie and how far apart they are, when each was seen to lie between two levels of a generator,
 * once or several times, and scatters from one time to the next: steps and scatter in one. An even prior for
 * the edges and for the logarithm of the scatter, which both share.
 * @param opening - what was seen of one; it tells of the other’s scatter as well.
 * @param closing - of the other; where nothing was seen of one, nothing is known of it and of the distance.
 * @see censored normal observations, by Bayes: JCGM 101:2008, 6.1 (from memory).
 */
export function steppedEdges(
  opening: readonly EdgeSeen[],
  closing: readonly EdgeSeen[],
): { opening: Located; closing: Located; apart: Located } {
  const cellDb = Math.max(...[opening, closing].map(reachOf)) / CELLS
  const starts = [opening, closing].map(seen => startOf(seen, cellDb)) as [number, number]
  const chances = { opening: empty(CELLS), closing: empty(CELLS), apart: empty(2 * CELLS - 1) }
  for (const scatterDb of SCATTERS_DB) {
    const a = likelihoods(opening, { fromDbm: starts[0], cellDb, scatterDb })
    const b = likelihoods(closing, { fromDbm: starts[1], cellDb, scatterDb })
    const [ofA, ofB] = [sumOf(a), sumOf(b)]
    for (let i = 0; i < CELLS; i++) {
      chances.opening[i]! += a[i]! * ofB
      chances.closing[i]! += b[i]! * ofA
    }
    addDifferences(chances.apart, a, b)
  }
  return {
    opening: locatedIn(chances.opening, starts[0], cellDb),
    closing: locatedIn(chances.closing, starts[1], cellDb),
    apart: locatedIn(chances.apart, starts[0] - starts[1] - (CELLS - 1) * cellDb, cellDb),
  }
}

const SCATTERS_DB = Array.from(
  { length: SCATTER_DB.count },
  (_unused, i) => SCATTER_DB.from * (SCATTER_DB.to / SCATTER_DB.from) ** (i / (SCATTER_DB.count - 1)),
)

const empty = (length: number) => new Float64Array(length)
const sumOf = (values: Float64Array) => values.reduce((sum, one) => sum + one, 0)

function endsOf(seen: readonly EdgeSeen[]): { lowest: number; highest: number } {
  if (seen.length === 0) return { lowest: 0, highest: 0 }
  return {
    lowest: Math.min(...seen.map(({ fromDbm }) => fromDbm)),
    highest: Math.max(...seen.map(({ toDbm }) => toDbm)),
  }
}

function reachOf(seen: readonly EdgeSeen[]): number {
  const { lowest, highest } = endsOf(seen)
  return highest - lowest + 2 * BEYOND_DB
}

/** Middle of the first cell: the cells lie evenly about what was seen. */
function startOf(seen: readonly EdgeSeen[], cellDb: number): number {
  const { lowest, highest } = endsOf(seen)
  return (lowest + highest) / 2 - ((CELLS - 1) / 2) * cellDb
}

/** How likely what was seen is, for the edge in each cell and one scatter. */
function likelihoods(
  seen: readonly EdgeSeen[],
  { fromDbm, cellDb, scatterDb }: { fromDbm: number; cellDb: number; scatterDb: number },
): Float64Array {
  const chances = new Float64Array(CELLS).fill(1)
  for (const { fromDbm: low, toDbm: high } of seen)
    for (let i = 0; i < CELLS; i++) {
      const edgeDbm = fromDbm + i * cellDb
      chances[i]! *= normalBelow((high - edgeDbm) / scatterDb) - normalBelow((low - edgeDbm) / scatterDb)
    }
  return chances
}

/** Standard deviations beyond which nothing lies, and points of the table for each of them. */
const TABLE = { reach: 7, each: 128 }
const BELOW = Float64Array.from({ length: 2 * TABLE.reach * TABLE.each + 2 }, (_unused, i) =>
  normalCdf(i / TABLE.each - TABLE.reach, 0, 1),
)

/** Normal distribution by straight lines between points of a table, out by less than 1e-5. */
function normalBelow(deviations: number): number {
  const place = (deviations + TABLE.reach) * TABLE.each
  if (!(place > 0)) return 0
  if (place >= BELOW.length - 1) return 1
  const cell = place | 0
  return BELOW[cell]! + (place - cell) * (BELOW[cell + 1]! - BELOW[cell]!)
}

/** Cells so unlikely add nothing. */
const NOTHING = 1e-12

function addDifferences(apart: Float64Array, a: Float64Array, b: Float64Array): void {
  for (let i = 0; i < CELLS; i++) {
    const weight = a[i]!
    if (weight < NOTHING) continue
    for (let j = 0; j < CELLS; j++) if (b[j]! > NOTHING) apart[i - j + CELLS - 1]! += weight * b[j]!
  }
}

/** The middle 95 % of a distribution over cells. */
function locatedIn(chances: Float64Array, fromDb: number, cellDb: number): Located {
  const whole = sumOf(chances)
  const at = (share: number) => {
    let before = 0
    for (let i = 0; i < chances.length; i++) {
      const cell = chances[i]! / whole
      if (before + cell >= share) return fromDb + (i - 0.5 + (share - before) / cell) * cellDb
      before += cell
    }
    return fromDb + (chances.length - 0.5) * cellDb
  }
  const [low, high] = [at(0.025), at(0.975)]
  return { value: (low + high) / 2, halfRange: (high - low) / 2 }
}
