/** What clicks leave open of one second of a limiter's audio, by SINAD, dB (of simulated receivers). */
const CLICKS: readonly [sinadDb: number, scatterDb: number][] = [
  [0, 0.1],
  [2, 0.15],
  [7, 0.45],
  [18, 0.5],
  [21, 0.4],
  [26, 0.15],
  [40, 0.1],
]

/** Sub-blocks tell scatter a little low: they are few, and clicks come in bursts. */
const FEW_SUB_BLOCKS = 1.1

/**
 * How far a SINAD read over some seconds is to be believed near the threshold: what its own sub-blocks say, and
 * no less than what clicks leave open there. A block without a click reads high and looks steady; taken at its
 * word it would pull the curve up.
 * @param standardUncertaintyDb - as the block itself states it.
 */
export function clickScatterDb(block: {
  sinadDb: number
  seconds: number
  standardUncertaintyDb: number
}): number {
  const usual = between(CLICKS, block.sinadDb) / Math.sqrt(Math.max(0.2, block.seconds))
  return Math.max(FEW_SUB_BLOCKS * block.standardUncertaintyDb, usual)
}

function between(table: readonly [number, number][], at: number): number {
  const after = table.findIndex(([x]) => x >= at)
  if (after === 0) return table[0]![1]
  if (after < 0) return table[table.length - 1]![1]
  const [[x0, y0], [x1, y1]] = [table[after - 1]!, table[after]!]
  return y0 + ((at - x0) / (x1 - x0)) * (y1 - y0)
}
