/**
 * How often each size of I and of Q was seen, in bins of a five-hundredth of its size and less: enough to tell the
 * top of a signal from the flat top of a clipped one. May be sent between workers and added up.
 */
export interface LevelCounts {
  /** By the leading bits of the number as it lies in memory: exponent and eight bits after it. */
  counts: Uint32Array
  /** Bin of the highest size seen. */
  top: number
  /** Smallest and largest of what the other of I and Q was at those samples, as bins of its size with its sign. */
  besideTop: { least: number; most: number }
  total: number
}

const BINS = 2 ** 16
const SHIFT = 15

/** Nothing counted yet. */
export function noLevels(): LevelCounts {
  return {
    counts: new Uint32Array(BINS),
    top: -1,
    besideTop: { least: Infinity, most: -Infinity },
    total: 0,
  }
}

/** Counts the samples of a slice: I, Q, I, Q …. */
export function countLevels(into: LevelCounts, samples: Float32Array): void {
  const bits = new Uint32Array(samples.buffer, samples.byteOffset, samples.length)
  const { counts } = into
  for (let n = 0; n < samples.length; n++) {
    const bin = (bits[n]! & 0x7fffffff) >>> SHIFT
    counts[bin]! += 1
    if (bin < into.top) continue
    const beside = samples[n ^ 1]!
    if (bin > into.top) {
      into.top = bin
      into.besideTop = { least: beside, most: beside }
    } else {
      if (beside < into.besideTop.least) into.besideTop.least = beside
      if (beside > into.besideTop.most) into.besideTop.most = beside
    }
  }
  into.total += samples.length
}

/** Adds up what was counted in several stretches. */
export function addLevels(parts: readonly LevelCounts[]): LevelCounts {
  const sum = noLevels()
  for (const { counts, top, besideTop, total } of parts) {
    for (let k = 0; k < BINS; k++) sum.counts[k]! += counts[k]!
    sum.total += total
    if (top < sum.top) continue
    const isHigher = top > sum.top
    sum.besideTop = {
      least: isHigher ? besideTop.least : Math.min(sum.besideTop.least, besideTop.least),
      most: isHigher ? besideTop.most : Math.max(sum.besideTop.most, besideTop.most),
    }
    sum.top = top
  }
  return sum
}

/** Samples at the top that are no flat top yet. */
const LEAST_AT_TOP = 8

/** Bins below the top one that it is compared with. */
const COMPARED = 3

/**
 * The top bin of a sine holds three times what the mean of the next three does (from the arcsine law: 1 against
 * √2 − 1, √3 − √2, 2 − √3), that of noise or voice less; coarse steps may double it.
 */
const MORE_THAN_A_SINE = 8

/** On a circle the other of I and Q reaches this far where one of them is in its top bin, of the top. */
const ON_A_CIRCLE = 0.35

/**
 * Share of all I and Q that stands on a flat top: what the receiver’s converter, or something before it, cut off.
 * Nought where the top is that of a signal: fewer samples than a flat one has, or samples whose other part stands
 * still.
 */
export function clippedShareOf({ counts, top, besideTop, total }: LevelCounts): number {
  const atTop = counts[top] ?? 0
  if (top <= 0 || atTop < LEAST_AT_TOP) return 0
  const topSize = new Float32Array(new Uint32Array([top << SHIFT]).buffer)[0]!
  if (besideTop.most - besideTop.least < ON_A_CIRCLE * topSize) return 0
  let below = 0
  for (let k = top - 1, met = 0; k > 0 && met < COMPARED; k--) {
    if (counts[k] === 0) continue
    below += counts[k]! / COMPARED
    met += 1
  }
  return atTop > MORE_THAN_A_SINE * below ? atTop / total : 0
}
