/** Samples from here on stand at the rail, of full scale ±1. */
const RAIL = 0.9996

/** Equal extremes in a row that a sine of this height would not have, beyond what it would. */
const LONGER_THAN_A_SINE = 2

/**
 * Share of a block’s samples that are clipped: at the rail of the input, or in runs of equal extremes that are
 * longer than the top of a sine, where something before the input clipped.
 * @param samplesPerTone - samples in one period of the tone; tells how long the top of its sine stays on one
 *   value.
 */
export function clippedShare(samples: Float64Array, samplesPerTone: number): number {
  const { highest, lowest, railed, longestRun } = extremesOf(samples)
  const atRail = railed > 2 ? railed : 0
  // Most blocks have no run at all; only then is the step of the converter looked for.
  if (longestRun <= LONGER_THAN_A_SINE) return atRail / samples.length
  const longest = LONGER_THAN_A_SINE + topOfSine(stepOf(samples), (highest - lowest) / 2, samplesPerTone)
  const flat = Math.max(inRuns(samples, highest, longest), inRuns(samples, lowest, longest))
  return Math.max(atRail, flat) / samples.length
}

interface Extremes {
  highest: number
  lowest: number
  /** Samples at the rail of the input. */
  railed: number
  /** Longest run of samples that stand at either extreme. */
  longestRun: number
}

function extremesOf(samples: Float64Array): Extremes {
  let [highest, lowest, railed] = [-Infinity, Infinity, 0]
  let [atHighest, atLowest] = [0, 0]
  let before = NaN
  let run = 0
  for (let n = 0; n < samples.length; n++) {
    const value = samples[n]!
    run = value === before ? run + 1 : 1
    before = value
    if (value > highest) {
      highest = value
      atHighest = 1
    } else if (value === highest && run > atHighest) atHighest = run
    if (value < lowest) {
      lowest = value
      atLowest = 1
    } else if (value === lowest && run > atLowest) atLowest = run
    if (value >= RAIL || value <= -RAIL) railed += 1
  }
  return { highest, lowest, railed, longestRun: Math.max(atHighest, atLowest) }
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
