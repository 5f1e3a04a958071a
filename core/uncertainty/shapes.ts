import besselJ0 from '@stdlib/math-base-special-besselj0'
import { DB_PER_UNIT_POWER } from './percentOfPower'
import { CELL_EDGES } from './display/signalUnderNoise'
import { studentCharacteristic } from './studentCharacteristic'
import type { Contribution } from './contribution'

/** A complex number that is written into, so that a hot loop makes no garbage. */
export interface Complex {
  re: number
  im: number
}

/** One error's distribution, as inversion and simulation need it. */
export interface Shape {
  /** Characteristic function E[exp(i·t·X)] at t (1/unit). */
  characteristic: (t: number, out: Complex) => void
  /** One draw from two independent uniforms in (0, 1). */
  draw: (u: number, v: number) => number
  /** Largest |X| that matters; −Infinity draws are possible beyond it where `clipped`. */
  reach: number
  symmetric: boolean
  /**
   * P(X ≤ x) in closed form, where there is one: the series of a lone shape with an edge converges too
   * slowly.
   */
  below?: (x: number) => number
  /** Part of the distribution lies at −Infinity: only simulation can carry it. */
  clipped: boolean
}

/** Normal tails beyond this many standard deviations weigh less than 1e-11. */
const NORMAL_REACH = 6.8

/** Mean of what a peak between two points of a trace reads low, as a share of the most it can. */
export const BETWEEN_POINTS_MEAN = 1 / 3

/** Cells of equal probability that stand for a skewed shape. */
const CELLS = 48

/**
 * The exact shape of a contribution.
 * @see JCGM 101:2008, 6.4, for the drawing rules (from memory); handbook, section 5, for the characteristic
 *   functions.
 */
export function shapeOf(contribution: Contribution): Shape {
  const { distribution, halfWidth: a, standardUncertainty: u } = contribution
  switch (distribution) {
    case 'normal':
      return even(
        t => Math.exp(-0.5 * u * u * t * t),
        (p, q) => u * Math.sqrt(-2 * Math.log(p)) * Math.cos(2 * Math.PI * q),
        NORMAL_REACH * u,
      )
    case 'rectangular':
      return {
        ...even(
          t => sinc(a * t),
          p => a * (2 * p - 1),
          a,
        ),
        below: x => (x / a + 1) / 2,
      }
    case 'triangular':
      return even(
        t => sinc((a * t) / 2) ** 2,
        (p, q) => a * (p + q - 1),
        a,
      )
    case 'u-shaped':
      return {
        ...even(
          t => besselJ0(a * t),
          p => a * Math.cos(2 * Math.PI * p),
          a,
        ),
        below: x => 1 - Math.acos(x / a) / Math.PI,
      }
    case 'student-t':
      return studentShape(contribution)
    case 'power-share':
      return powerShare(contribution.parameter)
    case 'two-ports':
      return cells(twoPorts(contribution.parameter), false)
    case 'noise-removed':
      return noiseRemoved(contribution.parameter, a)
    case 'between-points':
      return cells(p => a * (p * p - BETWEEN_POINTS_MEAN), false)
    case 'displayed':
      return tabulated(contribution.table!.edges)
  }
}

function even(phi: (t: number) => number, draw: (u: number, v: number) => number, reach: number): Shape {
  return {
    characteristic: (t, out) => {
      out.re = phi(t)
      out.im = 0
    },
    draw,
    reach,
    symmetric: true,
    clipped: false,
  }
}

function sinc(x: number): number {
  return Math.abs(x) < 1e-4 ? 1 - (x * x) / 6 : Math.sin(x) / x
}

/** Reach of Student's t: beyond it weigh less than 1e-5 (ν ≥ 2), or the best a grid can do (ν = 1). */
function studentShape({ standardUncertainty: u, degreesOfFreedom }: Contribution): Shape {
  const reach = Math.min(600, Math.max(NORMAL_REACH, 1.5 * 2e5 ** (1 / degreesOfFreedom)))
  return even(
    studentCharacteristic(degreesOfFreedom, u),
    (p, q) => u * baileyT(p, q, degreesOfFreedom),
    reach * u,
  )
}

/**
 * Student's t from two uniforms.
 * @see R. W. Bailey, Math. Comp. 62 (1994) 779 (from memory).
 */
function baileyT(p: number, q: number, degreesOfFreedom: number): number {
  return Math.sqrt(degreesOfFreedom * (p ** (-2 / degreesOfFreedom) - 1)) * Math.cos(2 * Math.PI * q)
}

/**
 * The true power is the reading times 1 + e, with e rectangular in ±h: closed form, skewed in dB. From h = 1
 * on it may be nothing at all.
 */
function powerShare(h: number): Shape {
  const high = 1 + h
  const low = Math.max(1 - h, 1e-9)
  const logHigh = DB_PER_UNIT_POWER * Math.log(high)
  const logLow = DB_PER_UNIT_POWER * Math.log(low)
  return {
    characteristic: (t, out) => {
      const s = DB_PER_UNIT_POWER * t
      const re = high * Math.cos(logHigh * t) - low * Math.cos(logLow * t)
      const im = high * Math.sin(logHigh * t) - low * Math.sin(logLow * t)
      const scale = 2 * h * (1 + s * s)
      out.re = (re + im * s) / scale
      out.im = (im - re * s) / scale
    },
    draw: p => {
      const factor = 1 + h * (2 * p - 1)
      return factor <= 0 ? -Infinity : DB_PER_UNIT_POWER * Math.log(factor)
    },
    below: x => ((10 ** (x / 10) - 1) / h + 1) / 2,
    reach: Math.max(-logLow, logHigh),
    symmetric: false,
    clipped: h > 0.98,
  }
}

/**
 * Two reflecting ports at an unknown phase: 20·log10|1 − ρ·exp(iθ)|. Its mean is 0 (log|1 − z| is harmonic).
 */
function twoPorts(rho: number): (p: number) => number {
  return p => DB_PER_UNIT_POWER * Math.log(1 - 2 * rho * Math.cos(Math.PI * p) + rho * rho)
}

/**
 * What is left of a signal S dB above a floor once the noise is taken off, the floor being doubtful by so
 * much that ±a is left to first order.
 */
function noiseRemoved(aboveDb: number, halfWidth: number): Shape {
  const floorDoubtDb = halfWidth * (10 ** (aboveDb / 10) - 1)
  const signal = (above: number) =>
    above <= 0 ? -Infinity : DB_PER_UNIT_POWER * Math.log(1 - 10 ** (-above / 10))
  const stated = signal(aboveDb)
  return cells(p => signal(aboveDb - floorDoubtDb * (1 - 2 * p)) - stated, aboveDb - floorDoubtDb <= 0)
}

/** A shape given by the edges of its cells, each taken as level. */
function tabulated(edges: readonly number[]): Shape {
  const parts = edges.slice(1).map((to, i) => ({
    weight: CELL_EDGES[i + 1]! - CELL_EDGES[i]!,
    middle: (edges[i]! + to) / 2,
    half: (to - edges[i]!) / 2,
  }))
  return {
    characteristic: (t, out) => {
      let re = 0
      let im = 0
      for (const { weight, middle, half } of parts) {
        const size = weight * sinc(half * t)
        re += size * Math.cos(middle * t)
        im += size * Math.sin(middle * t)
      }
      out.re = re
      out.im = im
    },
    draw: p => {
      const i = CELL_EDGES.findIndex(edge => edge > p) - 1
      const share = (p - CELL_EDGES[i]!) / (CELL_EDGES[i + 1]! - CELL_EDGES[i]!)
      return edges[i]! + share * (edges[i + 1]! - edges[i]!)
    },
    reach: Math.max(...edges.map(Math.abs)),
    symmetric: false,
    clipped: false,
  }
}

/**
 * Any shape given by its quantiles (or by cells of equal probability in any order): each cell is taken as
 * level.
 */
function cells(value: (p: number) => number, clipped: boolean): Shape {
  const middles = new Float64Array(CELLS)
  const halves = new Float64Array(CELLS)
  let reach = 0
  for (let i = 0; i < CELLS; i++) {
    const from = value(i / CELLS)
    const to = value((i + 1) / CELLS)
    middles[i] = (from + to) / 2
    halves[i] = Math.abs(to - from) / 2
    for (const end of [from, to]) if (Number.isFinite(end)) reach = Math.max(reach, Math.abs(end))
  }
  return {
    characteristic: (t, out) => {
      let re = 0
      let im = 0
      for (let i = 0; i < CELLS; i++) {
        const weight = sinc(halves[i]! * t)
        re += weight * Math.cos(middles[i]! * t)
        im += weight * Math.sin(middles[i]! * t)
      }
      out.re = re / CELLS
      out.im = im / CELLS
    },
    draw: value,
    reach,
    symmetric: false,
    clipped,
  }
}
