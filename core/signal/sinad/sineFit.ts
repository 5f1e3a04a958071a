import { phasorsOf, RESET, turnOf } from './phasors'

/** A sine fitted to a block: its frequency, amplitude, phase and what it stands on. */
export interface SineFit {
  frequencyHz: number
  amplitude: number
  /** Phase of the cosine at the first sample, rad. */
  phaseRad: number
  offset: number
}

/** How far the start may be from the tone, Hz. */
const CATCH_HZ = 12

/** Stretches a frequency is first looked for in, s. */
const STRETCH_S = 0.02
const ROUNDS = 4

/**
 * A correction of the frequency under this many cycles over the block is the last: each is some hundredth of the one
 * before, and what is left changes nothing.
 */
const SETTLED = 1e-4

/**
 * Fits a sine with frequency, amplitude, phase and offset to a block by least squares. It starts within
 * `CATCH_HZ` of the tone; the block holds several periods.
 * @param samples - one block, evenly spaced.
 * @see IEEE Std 1057, annex on the four-parameter fit (from memory): Gauss–Newton on cosine, sine, offset and
 *   frequency.
 */
export function fitSine(
  samples: Float64Array,
  { sampleRateHz, startHz }: { sampleRateHz: number; startHz: number },
): SineFit {
  let cycles = nearbyCycles(samples, startHz / sampleRateHz, {
    stretch: Math.round(STRETCH_S * sampleRateHz),
    most: CATCH_HZ / sampleRateHz,
  })
  let found: Solution = { cos: 0, sin: 0, offset: 0, correction: 0 }
  for (let round = 0; round < ROUNDS; round++) {
    found = solveAround(samples, cycles, found)
    cycles += found.correction
    if (round > 0 && Math.abs(found.correction) * samples.length < SETTLED) break
  }
  const middle = (samples.length - 1) / 2
  return {
    frequencyHz: cycles * sampleRateHz,
    amplitude: Math.hypot(found.cos, found.sin),
    phaseRad: Math.atan2(-found.sin, found.cos) - 2 * Math.PI * cycles * middle,
    offset: found.offset,
  }
}

/** What is left of a block when a fitted sine is taken off, offset and all. */
export function withoutSine(samples: Float64Array, sampleRateHz: number, fit: SineFit): Float64Array {
  const rest = new Float64Array(samples.length)
  const { amplitude, phaseRad, offset } = fit
  const re = amplitude * Math.cos(phaseRad)
  const im = amplitude * Math.sin(phaseRad)
  const turn = turnOf(fit.frequencyHz / sampleRateHz)
  for (let start = 0; start < samples.length; start += RESET) {
    let { cos, sin } = turn.at(start)
    const end = Math.min(samples.length, start + RESET)
    for (let n = start; n < end; n++) {
      rest[n] = samples[n]! - re * cos + im * sin - offset
      const next = cos * turn.cos - sin * turn.sin
      sin = sin * turn.cos + cos * turn.sin
      cos = next
    }
  }
  return rest
}

/** The frequency near a start at which all stretches of a block turn together, cycles a sample. */
function nearbyCycles(
  samples: Float64Array,
  start: number,
  { stretch, most }: { stretch: number; most: number },
): number {
  const length = Math.max(4, Math.min(stretch, samples.length >> 3))
  const { re, im } = phasorsOf(samples, start, length)
  const step = 0.2 / samples.length
  const steps = Math.ceil(Math.min(most, 0.4 / length) / step)
  let best = { power: -1, cycles: start }
  for (let i = -steps; i <= steps; i++) {
    const turn = turnOf(-i * step * length)
    let [cos, sin] = [1, 0]
    let sumRe = 0
    let sumIm = 0
    for (let k = 0; k < re.length; k++) {
      sumRe += re[k]! * cos - im[k]! * sin
      sumIm += re[k]! * sin + im[k]! * cos
      const next = cos * turn.cos - sin * turn.sin
      sin = sin * turn.cos + cos * turn.sin
      cos = next
    }
    const power = sumRe ** 2 + sumIm ** 2
    if (power > best.power) best = { power, cycles: start + i * step }
  }
  return best.cycles
}

interface Solution {
  cos: number
  sin: number
  offset: number
  /** To add to the frequency, cycles a sample. */
  correction: number
}

/** One round: cosine, sine and offset anew, and the frequency by its slope at what was found before. */
function solveAround(samples: Float64Array, cycles: number, before: Solution): Solution {
  const size = before.cos === 0 && before.sin === 0 ? 3 : 4
  const sums = normalSums(samples, cycles, before)
  const order = [0, 1, 2, 3].slice(0, size)
  const lines = order.map(i =>
    Float64Array.from([...order.map(j => sums[5 * Math.min(i, j) + Math.max(i, j)]!), sums[5 * i + 4]!]),
  )
  const [cos, sin, offset, slope = 0] = solveLinear(lines)
  return {
    cos: cos!,
    sin: sin!,
    offset: offset!,
    correction: slope / (2 * Math.PI * samples.length),
  }
}

/**
 * Sums of products of cosine, sine, one and slope with each other and with the signal: a line of five each, the
 * signal last. Time counts from the middle of the block.
 */
function normalSums(samples: Float64Array, cycles: number, before: Solution): Float64Array {
  const { length } = samples
  const middle = (length - 1) / 2
  const turn = turnOf(cycles)
  let cc = 0
  let cs = 0
  let c1 = 0
  let cd = 0
  let cx = 0
  let ss = 0
  let s1 = 0
  let sd = 0
  let sx = 0
  let d1 = 0
  let dd = 0
  let dx = 0
  let x1 = 0
  for (let start = 0; start < length; start += RESET) {
    let { cos, sin } = turn.at(start - middle)
    const end = Math.min(length, start + RESET)
    for (let n = start; n < end; n++) {
      const x = samples[n]!
      const slope = ((n - middle) / length) * (before.sin * cos - before.cos * sin)
      cc += cos * cos
      cs += cos * sin
      c1 += cos
      cd += cos * slope
      cx += cos * x
      ss += sin * sin
      s1 += sin
      sd += sin * slope
      sx += sin * x
      d1 += slope
      dd += slope * slope
      dx += slope * x
      x1 += x
      const next = cos * turn.cos - sin * turn.sin
      sin = sin * turn.cos + cos * turn.sin
      cos = next
    }
  }
  return Float64Array.of(cc, cs, c1, cd, cx, 0, ss, s1, sd, sx, 0, 0, length, d1, x1, 0, 0, 0, dd, dx)
}

/** Gauss elimination with pivots; each line holds its right-hand side last. */
function solveLinear(lines: Float64Array[]): number[] {
  const size = lines.length
  for (let column = 0; column < size; column++) {
    let pivot = column
    for (let row = column + 1; row < size; row++)
      if (Math.abs(lines[row]![column]!) > Math.abs(lines[pivot]![column]!)) pivot = row
    ;[lines[column], lines[pivot]] = [lines[pivot]!, lines[column]!]
    const head = lines[column]!
    if (head[column] === 0) continue
    for (let row = 0; row < size; row++) {
      if (row === column) continue
      const factor = lines[row]![column]! / head[column]!
      for (let k = column; k <= size; k++) lines[row]![k]! -= factor * head[k]!
    }
  }
  return lines.map((line, i) => (line[i] === 0 ? 0 : line[size]! / line[i]!))
}
