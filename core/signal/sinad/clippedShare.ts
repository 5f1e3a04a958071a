/** Samples from here on stand at the rail, of full scale ±1. */
const RAIL = 0.9996

/** Equal extremes in a row that a sine of this height would not have, beyond what it would. */
const LONGER_THAN_A_SINE = 2

/** How high a block of samples goes. */
export interface BlockHeight {
  rms: number
  /** Largest sample, of full scale. */
  peak: number
  highest: number
  lowest: number
  /** How many samples stand at either extreme. */
  atHighest: number
  atLowest: number
}

/** How high a block goes, in one pass over pairs: a recording has millions of samples. */
export function heightOf(samples: Float64Array): BlockHeight {
  let sum = 0
  let squares = 0
  let highest = -Infinity
  let lowest = Infinity
  let atHighest = 0
  let atLowest = 0
  const last = samples.length - 1
  for (let n = 0; n <= last; n += 2) {
    const one = samples[n]!
    // Of an odd number the last is looked at twice, and counted once.
    const other = samples[n < last ? n + 1 : last]!
    const pair = n < last
    sum += pair ? one + other : one
    squares += pair ? one * one + other * other : one * one
    const higher = one > other ? one : other
    const lower = one > other ? other : one
    if (higher >= highest) {
      if (higher > highest) atHighest = 0
      highest = higher
      atHighest += (one === higher ? 1 : 0) + (pair && other === higher ? 1 : 0)
    }
    if (lower <= lowest) {
      if (lower < lowest) atLowest = 0
      lowest = lower
      atLowest += (one === lower ? 1 : 0) + (pair && other === lower ? 1 : 0)
    }
  }
  const mean = sum / samples.length
  return {
    rms: Math.sqrt(Math.max(0, squares / samples.length - mean * mean)),
    peak: Math.max(highest, -lowest),
    ...{ highest, lowest, atHighest, atLowest },
  }
}

/**
 * Share of a block’s samples that are clipped: at the rail of the input, or in runs of equal extremes that are
 * longer than the top of a sine, where something before the input clipped.
 * @param samplesPerTone - samples in one period of the tone; tells how long the top of its sine stays on one
 *   value.
 */
export function clippedShare(samples: Float64Array, height: BlockHeight, samplesPerTone: number): number {
  const { highest, lowest, peak, atHighest, atLowest } = height
  const railed = peak >= RAIL ? samples.reduce((count, one) => count + (Math.abs(one) >= RAIL ? 1 : 0), 0) : 0
  const atRail = railed > 2 ? railed : 0
  const inRunsOver = (longest: number) =>
    Math.max(
      atHighest > longest ? inRuns(samples, highest, longest) : 0,
      atLowest > longest ? inRuns(samples, lowest, longest) : 0,
    )
  // Most blocks have no run at all; only then is the step of the converter looked for.
  if (inRunsOver(LONGER_THAN_A_SINE) === 0) return atRail / samples.length
  const longest = LONGER_THAN_A_SINE + topOfSine(stepOf(samples), (highest - lowest) / 2, samplesPerTone)
  return Math.max(atRail, inRunsOver(longest)) / samples.length
}

/** Samples a sine stays within one step of its top. */
function topOfSine(step: number, amplitude: number, samplesPerTone: number): number {
  const share = Math.acos(Math.max(-1, 1 - step / Math.max(step, amplitude))) / Math.PI
  return share * samplesPerTone
}

/** Smallest difference between neighbours that differ: the step of the converter. */
function stepOf(samples: Float64Array): number {
  let step = Infinity
  for (let n = 1; n < samples.length; n++) {
    const change = Math.abs(samples[n]! - samples[n - 1]!)
    if (change > 0 && change < step) step = change
  }
  return Number.isFinite(step) ? step : 0
}

/** Samples in runs of a value longer than so many. */
function inRuns(samples: Float64Array, value: number, longest: number): number {
  let total = 0
  let run = 0
  for (let n = 0; n <= samples.length; n++) {
    if (samples[n] === value) run += 1
    else {
      if (run > longest) total += run
      run = 0
    }
  }
  return total
}
