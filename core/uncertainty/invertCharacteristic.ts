import type { ErrorDistribution } from './errorDistribution'
import type { Complex, Shape } from './shapes'

const MOST_TERMS = 4000
const NEGLIGIBLE = 1e-9
/** So many negligible terms in a row end the series; a bounded shape's function has zeros of its own. */
const IN_A_ROW = 12
const COVERAGE = 0.95

/**
 * Distribution of a sum of independent errors from their characteristic functions, by the midpoint rule
 * F(x) = 1/2 − Σ Im[φ(t)·exp(−ixt)]/(π(k + 1/2)), t = (k + 1/2)·h, with h so small that nothing folds back
 * into the range of the sum: exact for bounded shapes but for the terms left off.
 * @see J. Gil-Pelaez, Biometrika 38 (1951) 481; R. B. Davies, Biometrika 60 (1973) 415 (both from memory).
 */
export function invertCharacteristic(shapes: readonly Shape[]): ErrorDistribution {
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
function sumBelow(shapes: readonly Shape[], reach: number): (x: number) => number {
  const step = Math.PI / reach
  const real: number[] = []
  const imaginary: number[] = []
  const one: Complex = { re: 0, im: 0 }
  for (let k = 0, quiet = 0; k < MOST_TERMS && quiet < IN_A_ROW; k++) {
    let re = 1
    let im = 0
    for (const shape of shapes) {
      shape.characteristic((k + 0.5) * step, one)
      const newRe = re * one.re - im * one.im
      im = re * one.im + im * one.re
      re = newRe
    }
    const weight = 1 / (Math.PI * (k + 0.5))
    real.push(re * weight)
    imaginary.push(im * weight)
    quiet = Math.abs(re * weight) + Math.abs(im * weight) < NEGLIGIBLE ? quiet + 1 : 0
  }
  const re = Float64Array.from(real)
  const im = Float64Array.from(imaginary)
  return x => series(x * step, re, im)
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

/** Where the distribution reaches a share: bisection, safe on the flat parts of a sum of few shapes. */
function quantile(probabilityBelow: (x: number) => number, share: number, reach: number): number {
  let low = -reach
  let high = reach
  for (let i = 0; i < 60 && high - low > 1e-10 * reach; i++) {
    const middle = (low + high) / 2
    if (probabilityBelow(middle) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}
