import { quantile } from './criterionLevel'
import { type PossibleCurve, sinadAt } from './sinadCurve'

/** The curve at one level: its middle, and the ends of its 95 % range, dB. */
export interface BandPoint {
  levelDbm: number
  middleDb: number
  lowDb: number
  highDb: number
}

/** The curves the readings leave possible as a band over level, for drawing. */
export function curveBand(
  curves: readonly PossibleCurve[],
  ends: { fromDbm: number; toDbm: number },
  count = 61,
): BandPoint[] {
  if (curves.length === 0) return []
  return Array.from({ length: count }, (_unused, i) => {
    const levelDbm = ends.fromDbm + (i / (count - 1)) * (ends.toDbm - ends.fromDbm)
    const heights = curves.map(curve => sinadAt(curve, levelDbm)).sort((a, b) => a - b)
    return {
      levelDbm,
      middleDb: quantile(heights, 0.5),
      lowDb: quantile(heights, 0.025),
      highDb: quantile(heights, 0.975),
    }
  })
}
