import type { CurveFamily } from './curveShapes'
import { criterionLevel } from './criterionLevel'
import { type CurvePoint, levelFor, type PossibleCurve, possibleCurves, sinadAt } from './sinadCurve'

/** What a generator can be set to, dBm. */
export interface LevelRange {
  lowestDbm: number
  highestDbm: number
  stepDb: number
}

/** What the coach has to know besides the readings; levels at the generator. */
export interface CoachInput {
  points: readonly CurvePoint[]
  criterionDb: number
  range: LevelRange
  /** Level the mark is expected at, dBm: of the claim, else of such sets in general. */
  expectedDbm: number
  /** Half of the 95 % range everything but the curve leaves open, dB. */
  othersDb: number
  /** The curves the readings leave possible, where they are known already. */
  curves?: readonly PossibleCurve[]
  family?: CurveFamily
}

/** What to do next, and why. */
export type CoachAdvice =
  | { kind: 'read'; levelDbm: number; why: 'above' | 'below' | 'tells-most'; expectedDb: number | null }
  | { kind: 'enough'; curveDb: number; why: 'others-larger' | 'small' }
  | { kind: 'cannot'; why: 'out-of-range' | 'never' }

/** Level a set is expected to hear 12 dB SINAD at where nobody claims one, dBm (common practice, no source). */
export const USUAL_SENSITIVITY_DBM = -119

/** The first two readings stand this far from where the mark is expected, dB. */
const CLEARLY_DB = 5

/** The curve's own part may be this share of the whole. */
const CURVE_SHARE = 1 / 3

/** Below this, ± dB, nobody gains by reading on. */
const SMALL_DB = 0.25

/** Scatter a reading to come is reckoned with, dB, where those so far do not say. */
const USUAL_SCATTER_DB = 0.4

/**
 * The next level to read at: the one whose reading is expected to narrow the level of the mark most, given all
 * readings so far, in steps the generator can make; first one clearly above the mark and one clearly below.
 * Says when reading on would not help, because the curve is no longer what leaves most open.
 */
export function coach(input: CoachInput): CoachAdvice {
  const { points, criterionDb, range, expectedDbm } = input
  if (points.length === 0) return readAt(expectedDbm + CLEARLY_DB, 'above', range)
  const side = missingSide(points, criterionDb)
  const curves = input.curves ?? possibleCurves(points, input.family)
  if (side !== null) return towards(side, input, curves)
  const found = criterionLevel(points, curves, criterionDb)
  if (found.kind === 'never') return { kind: 'cannot', why: 'never' }
  if (found.kind === 'level') {
    const curveDb = (found.highDbm - found.lowDbm) / 2
    const wholeDb = Math.hypot(curveDb, input.othersDb)
    if (curveDb <= SMALL_DB) return { kind: 'enough', curveDb, why: 'small' }
    if (curveDb < CURVE_SHARE * wholeDb) return { kind: 'enough', curveDb, why: 'others-larger' }
  }
  const told = tellsMost(input, curves)
  return { kind: 'read', levelDbm: told.levelDbm, why: 'tells-most', expectedDb: told.leftDb }
}

/** Which side of the mark has no reading clearly on it yet; null where both have. */
function missingSide(points: readonly CurvePoint[], criterionDb: number): 'above' | 'below' | null {
  if (!points.some(({ sinadDb }) => sinadDb > criterionDb + 1)) return 'above'
  return points.some(({ sinadDb }) => sinadDb < criterionDb - 1) ? null : 'below'
}

/** The nearest level at which the curves expect to stand clearly on the missing side. */
function towards(
  side: 'above' | 'below',
  { points, criterionDb, range }: CoachInput,
  curves: readonly PossibleCurve[],
): CoachAdvice {
  const sign = side === 'above' ? 1 : -1
  const wanted = curves.flatMap(curve => levelFor(curve, criterionDb + sign * 4) ?? []).sort((a, b) => a - b)
  const levels = points.map(({ levelDbm }) => levelDbm)
  const edge = side === 'above' ? Math.max(...levels) : Math.min(...levels)
  const middle = wanted[Math.floor(wanted.length / 2)] ?? edge + sign * CLEARLY_DB
  const atLeast = edge + sign * 1
  const most = edge + sign * 12
  const level = sign * Math.min(sign * most, Math.max(sign * atLeast, sign * middle))
  return readAt(level, side, range)
}

function readAt(levelDbm: number, why: 'above' | 'below', range: LevelRange): CoachAdvice {
  const set = settable(levelDbm, range)
  if (Math.abs(set - levelDbm) > 3) return { kind: 'cannot', why: 'out-of-range' }
  return { kind: 'read', levelDbm: set, why, expectedDb: null }
}

/** The nearest level a generator can be set to, dBm. */
export function settable(levelDbm: number, { lowestDbm, highestDbm, stepDb }: LevelRange): number {
  const step = stepDb > 0 ? stepDb : 0.1
  const set = Math.round(levelDbm / step) * step
  return Number(Math.min(highestDbm, Math.max(lowestDbm, set)).toFixed(3))
}

interface Telling {
  levelDbm: number
  /** Half of the 95 % range that is expected to be left of the curve's part, dB. */
  leftDb: number
}

/** Judged by what the reading of a level and the mark have in common over all possible curves. */
function tellsMost(input: CoachInput, curves: readonly PossibleCurve[]): Telling {
  const { criterionDb, range, points } = input
  const kept = curves.flatMap(curve => {
    const level = levelFor(curve, criterionDb)
    return level === null ? [] : [{ curve, level }]
  })
  const marks = kept.map(({ level }) => level)
  const { mean, variance } = momentsOf(marks)
  const scatter = Math.max(USUAL_SCATTER_DB, ...points.map(({ scatterDb }) => scatterDb))
  const reach = Math.max(6, 4 * Math.sqrt(variance))
  let best: Telling = { levelDbm: settable(mean, range), leftDb: 2 * Math.sqrt(variance) }
  let bestLeft = Infinity
  const step = Math.max(range.stepDb, 0.1)
  for (let level = settable(mean - reach, range); level <= mean + reach; level += step) {
    const levelDbm = settable(level, range)
    const read = kept.map(({ curve }) => sinadAt(curve, levelDbm))
    const left = variance - reduction(read, marks, scatter)
    if (left < bestLeft - 1e-9) {
      bestLeft = left
      best = { levelDbm, leftDb: 2 * Math.sqrt(Math.max(0, left)) }
    }
    if (levelDbm >= range.highestDbm) break
  }
  return best
}

function reduction(read: readonly number[], marks: readonly number[], scatterDb: number): number {
  const a = momentsOf(read)
  const b = momentsOf(marks)
  let together = 0
  for (let i = 0; i < read.length; i++) together += (read[i]! - a.mean) * (marks[i]! - b.mean)
  together /= read.length
  return (together * together) / (a.variance + scatterDb * scatterDb)
}

function momentsOf(values: readonly number[]): { mean: number; variance: number } {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  return { mean, variance: values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length }
}
