import { type EnvelopeSums, movedBy } from './envelopeSums'
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
export function ellipseOf(sums: EnvelopeSums): ReceiverTurns | null {
  const n = sums.count
  if (n < 100) return null
  // About its own mean: a spike that is much stronger than the carrier would hide the circle.
  const mean = { re: sums.i / n, im: sums.q / n }
  const s = movedBy(sums, mean)
  const power = s.ii + s.qq
  if (power <= 0) return null
  const [u, v] = [s.ii - s.qq, 2 * s.iq]
  const [iu, iv, qu, qv] = [s.iii - s.iqq, 2 * s.iiq, s.iiq - s.qqq, 2 * s.iqq]
  const [uu, uv, vv] = [s.iiii - 2 * s.iiqq + s.qqqq, 2 * (s.iiiq - s.iqqq), 4 * s.iiqq]
  const right = [power, s.iii + s.iqq, s.iiq + s.qqq, s.iiii - s.qqqq, 2 * (s.iiiq + s.iqqq)] as const
  const fit = linearFit(
    [
      [n, s.i, s.q, u, v],
      [s.i, s.ii, s.iq, iu, iv],
      [s.q, s.iq, s.qq, qu, qv],
      [u, iu, qu, uu, uv],
      [v, iv, qv, uv, vv],
    ],
    right,
  )
  if (!fit) return null
  const [, c1, c2, c3, c4] = fit.weights as [number, number, number, number, number]
  const squares = uu + vv - right.reduce((sum, one, k) => sum + one * fit.weights[k]!, 0)
  const left = Math.max(0, squares) / n
  if (Math.hypot(c3, c4) >= 1) return null
  const off = middleOf([c1, c2, c3, c4])
  const around = (power - 2 * (off.re * s.i + off.im * s.q)) / n + off.re ** 2 + off.im ** 2
  if (Math.sqrt(left) > MOST_UNSTEADY * around) return null
  const each = left * SAMPLES_FOR_ONE
  return {
    spike: { re: mean.re + off.re, im: mean.im + off.im },
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
