import {
  type CurveFamily,
  curveShapes,
  type CurveShape,
  SHAPE_STEP_DB,
  SHAPE_TABLE_FROM_DB,
} from './curveShapes'

/** A reading on the curve: what arrives at the socket, what was read, and how far that is to be believed. */
export interface CurvePoint {
  levelDbm: number
  sinadDb: number
  /** Standard uncertainty of the reading, dB. */
  scatterDb: number
}

/** One curve the readings leave possible: a shape, and the level at which carrier and noise are equal. */
export interface PossibleCurve {
  shape: CurveShape
  originDbm: number
}

/** What no reading can bring below this, dB: the family of curves is not nature itself. */
const MODEL_DB = 0.22

/** Curves kept to stand for all that are possible. */
export const DRAWS = 600

const COARSE_STEP_DB = 0.5
const FINE_STEP_DB = 0.1
/** Curves this much less likely than the best are let go, in natural logarithms. */
const LET_GO = 12

/**
 * The curves the readings leave possible, drawn in proportion to how well they agree with them: a monotone
 * family with a threshold, and a ceiling from the receiver's own distortion. The draws are spread evenly over
 * the weights, so the same readings give the same curves.
 * @param points - one reading or more.
 */
export function possibleCurves(
  points: readonly CurvePoint[],
  family: CurveFamily = 'limiter',
): PossibleCurve[] {
  if (points.length === 0) return []
  const shapes = curveShapes(family)
  const levels = points.map(({ levelDbm }) => levelDbm)
  const wide = { from: Math.min(...levels) - 25, to: Math.max(...levels) + 25, step: COARSE_STEP_DB }
  const weigh = weigher(points)
  const coarse = new Weighed()
  for (const shape of shapes) weigh(shape, wide, coarse)
  const fine = new Weighed()
  for (const [shape, { from, to }] of coarse.regions(LET_GO))
    weigh(shape, { from: from - COARSE_STEP_DB, to: to + COARSE_STEP_DB, step: FINE_STEP_DB }, fine)
  return fine.spread(DRAWS)
}

/** What a curve shows at a level, dB. */
export function sinadAt({ shape, originDbm }: PossibleCurve, levelDbm: number): number {
  return lookUp(shape, levelDbm - originDbm)
}

/** The level at which a curve first reaches a figure, dBm; null where it never does. */
export function levelFor({ shape, originDbm }: PossibleCurve, sinadDb: number): number | null {
  const { table } = shape
  if (table[table.length - 1]! < sinadDb || table[0]! > sinadDb) return null
  let low = 0
  let high = table.length - 1
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (table[middle]! < sinadDb) low = middle
    else high = middle
  }
  const rise = table[high]! - table[low]!
  const way = rise > 0 ? (sinadDb - table[low]!) / rise : 0
  return originDbm + SHAPE_TABLE_FROM_DB + (low + way) * SHAPE_STEP_DB
}

interface Stretch {
  from: number
  to: number
  step: number
}

function weigher(points: readonly CurvePoint[]) {
  const levels = Float64Array.from(points, ({ levelDbm }) => levelDbm)
  const sinads = Float64Array.from(points, ({ sinadDb }) => sinadDb)
  const twiceVariances = Float64Array.from(points, ({ scatterDb }) => 2 * (scatterDb ** 2 + MODEL_DB ** 2))
  return (shape: CurveShape, { from, to, step }: Stretch, into: Weighed): void => {
    for (let originDbm = from; originDbm <= to; originDbm += step) {
      const least = into.least()
      let logWeight = shape.logPrior
      for (let i = 0; i < levels.length && logWeight >= least; i++) {
        const off = sinads[i]! - lookUp(shape, levels[i]! - originDbm)
        logWeight -= (off * off) / twiceVariances[i]!
      }
      into.add(shape, originDbm, logWeight)
    }
  }
}

/** Curves with how well they agree with the readings. */
class Weighed {
  private readonly shapes: CurveShape[] = []
  private readonly origins: number[] = []
  private readonly logWeights: number[] = []
  private best = -Infinity

  /** What weighs less than this is not kept. */
  least(): number {
    return this.best - 2 * LET_GO
  }

  add(shape: CurveShape, originDbm: number, logWeight: number): void {
    if (logWeight < this.least()) return
    this.shapes.push(shape)
    this.origins.push(originDbm)
    this.logWeights.push(logWeight)
    if (logWeight > this.best) this.best = logWeight
  }

  /** Where each shape is not far less likely than the best. */
  regions(letGo: number): Map<CurveShape, { from: number; to: number }> {
    const regions = new Map<CurveShape, { from: number; to: number }>()
    for (let i = 0; i < this.shapes.length; i++) {
      if (this.logWeights[i]! < this.best - letGo) continue
      const shape = this.shapes[i]!
      const origin = this.origins[i]!
      const region = regions.get(shape)
      if (!region) regions.set(shape, { from: origin, to: origin })
      else region.to = origin
    }
    return regions
  }

  /** Draws at even distances along the sum of the weights. */
  spread(count: number): PossibleCurve[] {
    const weights = this.logWeights.map(logWeight => Math.exp(logWeight - this.best))
    const total = weights.reduce((sum, weight) => sum + weight, 0)
    const draws: PossibleCurve[] = []
    let passed = 0
    for (let i = 0; i < weights.length; i++) {
      passed += weights[i]!
      while (draws.length < count && ((draws.length + 0.5) / count) * total <= passed)
        draws.push({ shape: this.shapes[i]!, originDbm: this.origins[i]! })
    }
    return draws
  }
}

function lookUp({ table }: CurveShape, distanceDb: number): number {
  const at = (distanceDb - SHAPE_TABLE_FROM_DB) / SHAPE_STEP_DB
  if (at <= 0) return table[0]!
  if (at >= table.length - 1) return table[table.length - 1]!
  const below = Math.floor(at)
  return table[below]! + (at - below) * (table[below + 1]! - table[below]!)
}
