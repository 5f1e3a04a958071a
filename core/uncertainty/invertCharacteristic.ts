import type { ErrorDistribution } from './errorDistribution'
import type { Samples, SampledShape } from './sampledShapes'

const MOST_TERMS = 4000
/** Terms are worked out so many at a time. */
const TERMS_AT_ONCE = 32
const NEGLIGIBLE = 1e-9
/** So many negligible terms in a row end the series; a bounded shape's function has zeros of its own. */
const IN_A_ROW = 12
const COVERAGE = 0.95
/** Where a share is reached is found to so much of the reach. */
const QUANTILE_TO = 5e-11
/** How far a step is moved towards the middle, as a share of what is left, squared. */
const NUDGE = 0.1
/** The steps of the series stand on a grid of so many to the octave, so that shapes are sampled at few of them. */
const STEPS_AN_OCTAVE = 8

/**
 * Distribution of a sum of independent errors from their characteristic functions, by the midpoint rule
 * F(x) = 1/2 − Σ Im[φ(t)·exp(−ixt)]/(π(k + 1/2)), t = (k + 1/2)·h, with h so small that nothing folds back
 * into the range of the sum: exact for bounded shapes but for the terms left off.
 * @see J. Gil-Pelaez, Biometrika 38 (1951) 481; R. B. Davies, Biometrika 60 (1973) 415 (both from memory).
 */
export function invertCharacteristic(shapes: readonly SampledShape[]): ErrorDistribution {
  const reach = shapes.reduce((sum, shape) => sum + shape.reach, 0)
  const symmetric = shapes.every(shape => shape.symmetric)
  const alone = shapes.length === 1 ? shapes[0]!.below : undefined
  const inside = alone ?? sumBelow(shapes, reach)
  const probabilityBelow = (x: number): number => {
    if (x >= reach) return 1
    if (x <= -reach) return 0
    return Math.min(1, Math.max(0, inside(x)))
  }
  const at = (share: number) => quantile(probabilityBelow, share, reach)
  const high = at(0.5 + COVERAGE / 2)
  if (symmetric) return { method: 'inversion', symmetric, shift: 0, probabilityBelow, low: -high, high }
  const shift = at(0.5)
  return {
    method: 'inversion',
    symmetric,
    shift,
    low: at(0.5 - COVERAGE / 2) - shift,
    high: high - shift,
    probabilityBelow: x => probabilityBelow(x + shift),
  }
}

/** P(sum ≤ x) inside the reach of the sum. */
function sumBelow(shapes: readonly SampledShape[], reach: number): (x: number) => number {
  const step = Math.PI / 2 ** (Math.ceil(STEPS_AN_OCTAVE * Math.log2(reach)) / STEPS_AN_OCTAVE)
  const re: number[] = []
  const im: number[] = []
  for (let quiet = 0; re.length < MOST_TERMS && quiet < IN_A_ROW;) {
    const from = re.length
    const terms = productOf(shapes, step, from)
    for (let i = 0; i < TERMS_AT_ONCE && quiet < IN_A_ROW; i++) {
      const weight = 1 / (Math.PI * (from + i + 0.5))
      re.push(terms.re[i]! * weight)
      im.push(terms.im[i]! * weight)
      const size = Math.abs(terms.re[i]!) + Math.abs(terms.im[i]!)
      quiet = size * weight < NEGLIGIBLE ? quiet + 1 : 0
    }
  }
  const kept = { re: Float64Array.from(re), im: Float64Array.from(im) }
  return x => series(x * step, kept.re, kept.im)
}

/** Some terms of the product of all characteristic functions, from the k-th on; written over by the next call. */
function productOf(shapes: readonly SampledShape[], step: number, from: number): Terms {
  const { re, im } = terms
  re.fill(1)
  im.fill(0)
  for (const shape of shapes) {
    const samples = shape.samples(step, from + TERMS_AT_ONCE)
    if (shape.symmetric) timesReal(samples.re, from)
    else timesComplex(samples, from)
  }
  return terms
}

interface Terms {
  re: Float64Array
  im: Float64Array
}

const terms: Terms = { re: new Float64Array(TERMS_AT_ONCE), im: new Float64Array(TERMS_AT_ONCE) }

function timesReal(samples: readonly number[], from: number): void {
  const { re, im } = terms
  for (let i = 0; i < TERMS_AT_ONCE; i++) {
    const one = samples[from + i]!
    re[i]! *= one
    im[i]! *= one
  }
}

function timesComplex(samples: Samples, from: number): void {
  const { re, im } = terms
  for (let i = 0; i < TERMS_AT_ONCE; i++) {
    const [oneRe, oneIm] = [samples.re[from + i]!, samples.im[from + i]!]
    const newRe = re[i]! * oneRe - im[i]! * oneIm
    im[i] = re[i]! * oneIm + im[i]! * oneRe
    re[i] = newRe
  }
}

/** 1/2 + Σ re·sin((k + 1/2)α) − im·cos((k + 1/2)α), the angles stepped by rotation. */
function series(angle: number, re: Float64Array, im: Float64Array): number {
  const cosStep = Math.cos(angle)
  const sinStep = Math.sin(angle)
  let cos = Math.cos(angle / 2)
  let sin = Math.sin(angle / 2)
  let sum = 0.5
  for (let k = 0; k < re.length; k++) {
    sum += re[k]! * sin - im[k]! * cos
    const next = cos * cosStep - sin * sinStep
    sin = sin * cosStep + cos * sinStep
    cos = next
  }
  return sum
}

/**
 * Where the distribution reaches a share. On the flat parts of a sum of few shapes a straight line leads nowhere, so
 * a step is never further from the middle than a bisection could still make good.
 * @see I. F. D. Oliveira and R. H. C. Takahashi, “An enhancement of the bisection method average performance
 *   preserving minmax optimality”, ACM Trans. Math. Softw. 47 (2020), 5 (from memory).
 */
function quantile(probabilityBelow: (x: number) => number, share: number, reach: number): number {
  const tolerance = QUANTILE_TO * reach
  let [low, high] = [-reach, reach]
  let [atLow, atHigh] = [-share, 1 - share]
  let left = Math.ceil(Math.log2(1 / QUANTILE_TO)) + 1
  for (; high - low > 2 * tolerance && left >= 0; left--) {
    const middle = (low + high) / 2
    const straight = (low * atHigh - high * atLow) / (atHigh - atLow)
    const towards = Math.sign(middle - straight)
    const nudge = (NUDGE / reach) * (high - low) ** 2
    const nudged = nudge <= Math.abs(middle - straight) ? straight + towards * nudge : middle
    const mayStray = Math.max(0, tolerance * 2 ** left - (high - low) / 2)
    const x = Math.abs(nudged - middle) <= mayStray ? nudged : middle - towards * mayStray
    const off = probabilityBelow(x) - share
    if (off < 0) [low, atLow] = [x, off]
    else [high, atHigh] = [x, off]
  }
  return (low + high) / 2
}
