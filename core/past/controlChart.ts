import type { Context } from '../context'
import { evaluateControlCheck } from '../judging'
import { printDb, printMhz } from '../quantity'
import { setName } from '../review'

/** One reading of a control radio, as its difference from what is known of it. */
export interface ControlPoint {
  reviewId: string
  at: string
  /** Radio and frequency: what belongs on one chart. */
  series: string
  /** Read less known, dB. */
  offDb: number
  /** 95 % half-width of that difference, dB. */
  rangeDb: number
}

/** Every reading of control radios in a review. */
export function controlPoints(context: Context): ControlPoint[] {
  return context.review.controlChecks.flatMap(check => {
    const set = context.review.sets.find(({ id }) => id === check.setId)
    const { found, differenceDb } = evaluateControlCheck(check, context)
    if (!set || !found || differenceDb === null) return []
    const rangeDb = Math.hypot(found.budget.range, check.knownExpandedDb)
    const series = `${setName(set)}, ${printMhz(check.frequencyHz)}`
    return [{ reviewId: context.review.id, at: check.at, series, offDb: differenceDb, rangeDb }]
  })
}

/** What a control chart says of a bench. */
export type ChartState = 'too-few' | 'steady' | 'beyond' | 'shifted'

/** So many in a row on one side are no chance (Western Electric handbook, 1956, from memory). */
const RUN = 8
/** Fewer say nothing of a drift. */
const FEW = 3

/**
 * What the readings of a control radio say over time: beyond its range where the last is further off than it leaves
 * open, shifted where the last eight lie on one side of what is known.
 */
export function chartState(points: readonly ControlPoint[]): { state: ChartState; words: string } {
  const sorted = points.toSorted((a, b) => a.at.localeCompare(b.at))
  const last = sorted.at(-1)
  if (!last) return { state: 'too-few', words: 'No control radio was read yet.' }
  if (Math.abs(last.offDb) > last.rangeDb)
    return {
      state: 'beyond',
      words:
        `The last reading is ${printDb(Math.abs(last.offDb))} ` +
        `${last.offDb > 0 ? 'high' : 'low'}, more than the ±${printDb(last.rangeDb)} it leaves open: ` +
        'look for what changed before you measure on.',
    }
  const tail = sorted.slice(-RUN)
  const side = Math.sign(last.offDb)
  if (tail.length === RUN && side !== 0 && tail.every(({ offDb }) => Math.sign(offDb) === side))
    return {
      state: 'shifted',
      words:
        `The last ${RUN} readings all lie ${side > 0 ? 'above' : 'below'} what is known of it: ` +
        'the bench has shifted, or the radio has.',
    }
  if (sorted.length < FEW)
    return {
      state: 'too-few',
      words: `${sorted.length} of at least ${FEW} readings: too few to speak of a drift.`,
    }
  return {
    state: 'steady',
    words: `${sorted.length} readings, none out of what they leave open: no drift is seen.`,
  }
}
