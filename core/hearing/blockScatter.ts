type ScatterTable = readonly [sinadDb: number, scatterDb: number][]

/**
 * What clicks leave open of one second of a limiter’s audio, by the SINAD that is read, dB (of simulated
 * receivers): so much that, with what the second says of itself, 95 % of the seconds that read there hold what the
 * receiver shows on average. Above the knee there are none: with the deviation of narrow channels that is at some
 * 16 dB SINAD, with that of wide ones at some 24 dB. A second that had no click by chance reads up to the knee.
 */
const NARROW: ScatterTable = [
  [0, 0.1],
  [2, 0.155],
  [5, 0.33],
  [7, 0.43],
  [10, 0.56],
  [11, 0.53],
  [12, 0.5],
  [13, 0.41],
  [15, 0.17],
  [16, 0.08],
  [17, 0],
]
const WIDE: ScatterTable = [
  [0, 0.1],
  [2, 0.15],
  [5, 0.23],
  [7, 0.33],
  [10, 0.42],
  [12, 0.59],
  [14, 0.66],
  [20, 0.66],
  [22, 0.63],
  [23, 0.36],
  [24, 0.14],
  [25, 0],
]

/** Channels from here on are wide, Hz. */
const WIDE_FROM_HZ = 20_000

/**
 * How far a SINAD read over some seconds is to be believed near the threshold: what its own sub-blocks say, and
 * no less than what clicks leave open there. A block without a click reads high and looks steady; taken at its
 * word it would pull the curve up.
 * @param block - its `standardUncertaintyDb` as the block itself states it.
 */
export function clickScatterDb(
  block: { sinadDb: number; seconds: number; standardUncertaintyDb: number },
  channelSpacingHz: number,
): number {
  const table = channelSpacingHz < WIDE_FROM_HZ ? NARROW : WIDE
  const usual = between(table, block.sinadDb) / Math.sqrt(Math.max(0.2, block.seconds))
  return Math.max(block.standardUncertaintyDb, usual)
}

function between(table: ScatterTable, at: number): number {
  const after = table.findIndex(([x]) => x >= at)
  if (after === 0) return table[0]![1]
  if (after < 0) return table[table.length - 1]![1]
  const [[x0, y0], [x1, y1]] = [table[after - 1]!, table[after]!]
  return y0 + ((at - x0) / (x1 - x0)) * (y1 - y0)
}
