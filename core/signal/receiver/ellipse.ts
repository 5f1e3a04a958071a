import type { EnvelopeSums } from './envelopeSums'
import { linearFit } from './linearFit'

/** A complex number. */
export interface Complex {
  re: number
  im: number
}

/** What a receiver does to a signal: adds a spike in the middle, and its mirror image. */
export interface ReceiverTurns {
  /** Of full scale. */
  spike: Complex
  /** Image over signal: the recording is s + image·s* of a signal s. */
  image: Complex
  /** Standard uncertainty of the image’s amplitude over the signal’s. */
  imageUncertainty: number
}

/** Further from steady than this the power around the spike is that of more than one steady carrier, rms over mean. */
const MOST_UNSTEADY = 0.35

/** Samples of a recording resemble their neighbours: one of so many counts as told apart. */
const SAMPLES_FOR_ONE = 10

/**
 * The carrier of an FM radio turns on a circle; gain and phase that differ between I and Q make it an ellipse, and a
 * spike moves its middle. The ellipse is fitted to all samples of keyed stretches.
 * @returns null where the power is not that of one steady carrier, or where the carrier did not go round.
 * @see R. A. Heydemann, Appl. Opt. 20 (1981) 3382: correction of quadrature by a fitted ellipse (from memory).
 */
export function ellipseOf(s: EnvelopeSums): ReceiverTurns | null {
  const { count: n } = s
  if (n < 100 || s.p <= 0) return null
  const [ii, qq, iq] = [(s.p + s.u) / 2, (s.p - s.u) / 2, s.v / 2]
  const fit = linearFit(
    [
      [n, s.i, s.q, s.u, s.v],
      [s.i, ii, iq, s.iu, s.iv],
      [s.q, iq, qq, s.qu, s.qv],
      [s.u, s.iu, s.qu, s.uu, s.uv],
      [s.v, s.iv, s.qv, s.uv, s.vv],
    ],
    [s.p, s.pi, s.pq, s.pu, s.pv],
  )
  if (!fit) return null
  const [c0, c1, c2, c3, c4] = fit.weights as [number, number, number, number, number]
  const squares = s.uu + s.vv - (c0 * s.p + c1 * s.pi + c2 * s.pq + c3 * s.pu + c4 * s.pv)
  const left = Math.max(0, squares) / n
  if (Math.hypot(c3, c4) >= 1) return null
  const spike = middleOf([c1, c2, c3, c4])
  const aroundSpike = s.p / n - (2 * (spike.re * s.i + spike.im * s.q)) / n + spike.re ** 2 + spike.im ** 2
  if (Math.sqrt(left) > MOST_UNSTEADY * aroundSpike) return null
  const each = left * SAMPLES_FOR_ONE
  return {
    spike,
    image: imageOf({ re: c3, im: c4 }),
    imageUncertainty: Math.sqrt(each * Math.max(fit.inverse[3]![3]!, fit.inverse[4]![4]!)) / 2,
  }
}

/** Where I² + Q² − c1 I − c2 Q − c3 (I² − Q²) − 2 c4 I Q is level. */
function middleOf([c1, c2, c3, c4]: [number, number, number, number]): Complex {
  const determinant = 4 * (1 - c3) * (1 + c3) - 4 * c4 * c4
  return {
    re: (2 * (1 + c3) * c1 + 2 * c4 * c2) / determinant,
    im: (2 * (1 - c3) * c2 + 2 * c4 * c1) / determinant,
  }
}

/** The image a behind 2a/(1 + |a|²), which is what both an ellipse and the mean of x² over that of |x|² show. */
export function imageOf(seen: Complex): Complex {
  const size = Math.hypot(seen.re, seen.im)
  if (size === 0) return seen
  const factor = (1 - Math.sqrt(Math.max(0, 1 - size * size))) / size / size
  return { re: factor * seen.re, im: factor * seen.im }
}
