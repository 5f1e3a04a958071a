import type { CurveFamily } from './curveShapes'
import { type CurvePoint, levelFor, type PossibleCurve, possibleCurves, sinadAt } from './sinadCurve'

/** Further than this beyond the readings nothing is said, dB. */
export const FURTHEST_BEYOND_DB = 2

/** Where the curve reaches a mark: the level, and what reading the curve leaves open of it. */
export interface CriterionLevel {
  kind: 'level'
  levelDbm: number
  standardUncertaintyDb: number
  /** Ends of its 95 % range, dBm. */
  lowDbm: number
  highDbm: number
  /** Slope of the curve there, dB per dB. */
  slope: number
}

/** Why there is no level for a mark yet: what would have to be read. */
export interface NoCriterionLevel {
  kind: 'too-few' | 'read-lower' | 'read-higher' | 'never'
}

/**
 * Above this a mark may lie on the knee itself, where the law is known less well: so much of level, dB (of the
 * coverage study).
 */
const KNEE_FROM_DB = 15
const KNEE_DB = 0.1

/** Curves that never reach the mark may be this share of all. */
const MAY_NEVER_REACH = 0.2

/** The level of a mark, from the curves the readings leave possible. */
export function criterionLevel(
  points: readonly CurvePoint[],
  curves: readonly PossibleCurve[],
  criterionDb: number,
): CriterionLevel | NoCriterionLevel {
  if (points.length < 2) return { kind: 'too-few' }
  const levels = curves.flatMap(curve => levelFor(curve, criterionDb) ?? []).sort((a, b) => a - b)
  if (levels.length < (1 - MAY_NEVER_REACH) * curves.length) return { kind: 'never' }
  const mean = levels.reduce((sum, level) => sum + level, 0) / levels.length
  const read = points.map(({ levelDbm }) => levelDbm)
  if (mean < Math.min(...read) - FURTHEST_BEYOND_DB) return { kind: 'read-lower' }
  if (mean > Math.max(...read) + FURTHEST_BEYOND_DB) return { kind: 'read-higher' }
  const variance = levels.reduce((sum, level) => sum + (level - mean) ** 2, 0) / levels.length
  const knee = criterionDb > KNEE_FROM_DB ? KNEE_DB : 0
  const slopes = curves.map(curve => sinadAt(curve, mean + 0.25) - sinadAt(curve, mean - 0.25))
  return {
    kind: 'level',
    levelDbm: mean,
    standardUncertaintyDb: Math.sqrt(variance + knee ** 2),
    lowDbm: quantile(levels, 0.025) - knee,
    highDbm: quantile(levels, 0.975) + knee,
    slope: (2 * slopes.reduce((sum, slope) => sum + slope, 0)) / slopes.length,
  }
}

/** A quantile of sorted figures. */
export function quantile(sorted: readonly number[], share: number): number {
  const at = share * (sorted.length - 1)
  const below = Math.floor(at)
  const above = Math.min(below + 1, sorted.length - 1)
  return sorted[below]! + (at - below) * (sorted[above]! - sorted[below]!)
}

/** A reading this many times its scatter off the curve raises suspicion; this many off the others’ is asked about. */
const SUSPICIOUS = 2
const STRAY = 4

/** What a curve is known to at a reading of its own, dB. */
const CURVE_DB = 0.4

/** A reading that does not lie on the curve the others make, and how far off it is, dB. */
export function strayPoint(
  points: readonly CurvePoint[],
  curves: readonly PossibleCurve[],
  family: CurveFamily = 'limiter',
): { index: number; offDb: number } | null {
  if (points.length < 4) return null
  if (!points.some(point => timesOff(point, offCurve(point, curves)) > SUSPICIOUS)) return null
  const without = points.map((point, index) => {
    const others = points.filter(other => other !== point)
    const left = possibleCurves(others, family)
    const misfit = others.reduce((sum, other) => sum + timesOff(other, offCurve(other, left)) ** 2, 0)
    return { index, misfit, offDb: offCurve(point, left), spreadDb: spreadAt(point, left) }
  })
  const { index, offDb, spreadDb } = without.reduce((a, b) => (b.misfit < a.misfit ? b : a))
  return timesOff(points[index]!, offDb, spreadDb) > STRAY ? { index, offDb } : null
}

function offCurve({ levelDbm, sinadDb }: CurvePoint, curves: readonly PossibleCurve[]): number {
  return sinadDb - curves.reduce((sum, curve) => sum + sinadAt(curve, levelDbm), 0) / curves.length
}

/** How far apart the curves are at a reading: beyond the others they know little. */
function spreadAt({ levelDbm }: CurvePoint, curves: readonly PossibleCurve[]): number {
  const heights = curves.map(curve => sinadAt(curve, levelDbm)).sort((a, b) => a - b)
  return (quantile(heights, 0.975) - quantile(heights, 0.025)) / 2
}

function timesOff({ scatterDb }: CurvePoint, offDb: number, spreadDb = 0): number {
  return Math.abs(offDb) / Math.hypot(scatterDb, CURVE_DB, spreadDb)
}
