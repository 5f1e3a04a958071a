/** SINAD read with the generator moved off the channel. */
export interface FrequencyPoint {
  offsetHz: number
  sinadDb: number
}

/** Where a receiver hears best, or what is missing to say so. */
export type BestFrequency =
  | { kind: 'too-few' }
  /** Nothing falls off: the level is too high for the skirts to show. */
  | { kind: 'flat'; spreadDb: number }
  | { kind: 'found'; offsetHz: number }

/** Further off than this is told, and the steps that follow use the best one, Hz. */
export const MOST_OFF_HZ = 300

/** Skirts that fall by less than this do not tell where the middle is, dB. */
const FLAT_DB = 1.5

/**
 * The middle of the receiver from SINAD a little above the knee at several offsets: a parabola through the
 * skirts.
 * @param points - three or more, on both sides of the channel.
 * @see receivers.md, section 3.
 */
export function bestFrequency(points: readonly FrequencyPoint[]): BestFrequency {
  if (points.length < 3) return { kind: 'too-few' }
  const levels = points.map(({ sinadDb }) => sinadDb)
  const spreadDb = Math.max(...levels) - Math.min(...levels)
  if (spreadDb < FLAT_DB) return { kind: 'flat', spreadDb }
  const { slope, bend } = parabola(points)
  const [low, high] = [Math.min, Math.max].map(pick => pick(...points.map(({ offsetHz }) => offsetHz)))
  // A slope without a bend: the middle lies beyond the readings on the side where it rises.
  const middle = bend < 0 ? -slope / (2 * bend) : Math.sign(slope) * Infinity
  return { kind: 'found', offsetHz: Math.round(Math.min(high!, Math.max(low!, middle))) }
}

/** Least squares of a + b·x + c·x²; only b and c are wanted. */
function parabola(points: readonly FrequencyPoint[]): { slope: number; bend: number } {
  const scale = 1000
  const xs = points.map(({ offsetHz }) => offsetHz / scale)
  const ys = points.map(({ sinadDb }) => sinadDb)
  const sum = (term: (i: number) => number) => xs.reduce((total, _x, i) => total + term(i), 0)
  const [s0, s1, s2, s3, s4] = [0, 1, 2, 3, 4].map(power => sum(i => xs[i]! ** power)) as [
    number,
    number,
    number,
    number,
    number,
  ]
  const [t0, t1, t2] = [0, 1, 2].map(power => sum(i => ys[i]! * xs[i]! ** power)) as [number, number, number]
  const determinant = s0 * (s2 * s4 - s3 * s3) - s1 * (s1 * s4 - s2 * s3) + s2 * (s1 * s3 - s2 * s2)
  const slope = (s0 * (t1 * s4 - s3 * t2) - t0 * (s1 * s4 - s2 * s3) + s2 * (s1 * t2 - t1 * s2)) / determinant
  const bend = (s0 * (s2 * t2 - t1 * s3) - s1 * (s1 * t2 - t1 * s2) + t0 * (s1 * s3 - s2 * s2)) / determinant
  return { slope: slope / scale, bend: bend / scale ** 2 }
}
