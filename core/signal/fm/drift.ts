import type { PoweredBlock } from './deviationMeter'

type Timed = Pick<PoweredBlock, 'startS' | 'seconds' | 'carrierHz'>

/**
 * The carrier at moments in rising order, Hz: that of the keyed second a moment lies in, or of the last before it. What
 * drifts from second to second is no swing.
 * @param keyed - at least one block, in order of time.
 */
export function carrierOver(keyed: readonly Timed[]): (atS: number) => number {
  const inOrder = [...keyed].sort((a, b) => a.startS - b.startS)
  let at = 0
  return atS => {
    while (at + 1 < inOrder.length && inOrder[at + 1]!.startS <= atS + 1e-9) at += 1
    return inOrder[at]!.carrierHz
  }
}

/** Seconds a drift can be told from. */
const LEAST_BLOCKS = 3

/** How far the carrier moved from the beginning to the end of the blocks, by a straight line through them, Hz. */
export function driftOf(keyed: readonly Timed[]): number {
  if (keyed.length < LEAST_BLOCKS) return 0
  const mean = (pick: (block: Timed) => number) =>
    keyed.reduce((sum, block) => sum + pick(block), 0) / keyed.length
  const [meanS, meanHz] = [mean(({ startS }) => startS), mean(({ carrierHz }) => carrierHz)]
  let covariance = 0
  let variance = 0
  for (const { startS, carrierHz } of keyed) {
    covariance += (startS - meanS) * (carrierHz - meanHz)
    variance += (startS - meanS) ** 2
  }
  const last = keyed.at(-1)!
  return variance === 0 ? 0 : (covariance / variance) * (last.startS + last.seconds - keyed[0]!.startS)
}
