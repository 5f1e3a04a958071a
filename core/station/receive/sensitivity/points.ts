import { type Context, perStep } from '../../../context'
import {
  bestFrequency,
  type BestFrequency,
  type CurveFamily,
  type CurvePoint,
  MOST_OFF_HZ,
  type PossibleCurve,
  possibleCurves,
} from '../../../hearing'
import type { FigureReading, Reading } from '../../../review'
import { correctApplied, type FoundLevel, isCorrected, type Slot, type Step } from '../../../step'
import { GENERATOR } from '../paths'

/** Scatter of a SINAD typed from a swinging meter, dB (assumed; common practice, no source). */
export const TYPED_SCATTER_DB = 0.5

/** A shift of the generator beyond this asks for the points again, Hz. */
const ANOTHER_FREQUENCY_HZ = 500

/** A point of the curve with where it comes from. */
export interface ReadPoint extends CurvePoint {
  slot: Slot
  reading: FigureReading
  found: FoundLevel
}

/** What was read of one receiver at one place. */
export interface Hearing {
  points: readonly ReadPoint[]
  /** Read before the generator was moved to where the receiver hears best: to be read again. */
  stale: readonly ReadPoint[]
  curves: readonly PossibleCurve[]
  best: BestFrequency
  /** Frequency the generator belongs on, Hz. */
  tunedHz: number
}

/** Shape of the curves of a step: only FM has a limiter. */
export function familyOf({ band }: Pick<Step, 'band'>): CurveFamily {
  return band.mode === 'FM' ? 'limiter' : 'linear'
}

/** The points of a step, taken to the socket, and the curves they leave possible; worked out once. */
export const hearingOf = perStep((step: Step, context: Context): Hearing => {
  const { best, tunedHz } = tunedOf(step, context)
  const all = pointsOf(step, context)
  const isStale = ({ reading }: ReadPoint) =>
    Math.abs((reading.applied[GENERATOR]?.frequencyHz ?? tunedHz) - tunedHz) > ANOTHER_FREQUENCY_HZ
  const points = all.filter(point => !isStale(point))
  return {
    points,
    stale: all.filter(isStale),
    curves: possibleCurves(points, familyOf(step)),
    best,
    tunedHz,
  }
})

/** Where the receiver hears best, and the frequency the generator belongs on, Hz. */
export function tunedOf(step: Step, context: Context): Pick<Hearing, 'best' | 'tunedHz'> {
  const best = bestFrequency(offsetsOf(step, context))
  const isOff = best.kind === 'found' && Math.abs(best.offsetHz) > MOST_OFF_HZ
  return { best, tunedHz: step.channel.frequencyHz + (isOff ? best.offsetHz : 0) }
}

function pointsOf(step: Step, context: Context): ReadPoint[] {
  const standing = context.readingsOf(step)
  return step.slots.flatMap((slot): ReadPoint[] => {
    const reading = slot.kind.is === 'point' ? standing.get(slot.id) : undefined
    if (!reading || !isFigure(reading)) return []
    const found = correctApplied(reading, GENERATOR, context)
    if (!found || !isCorrected(found)) return []
    return [
      {
        slot,
        reading,
        found,
        levelDbm: found.value,
        sinadDb: reading.seen.value,
        scatterDb: scatterOf(reading),
      },
    ]
  })
}

function isFigure(reading: Reading): reading is FigureReading {
  return reading.seen.as === 'figure'
}

function scatterOf({ seen }: FigureReading): number {
  const ownDb = seen.standardUncertainty > 0 ? seen.standardUncertainty : TYPED_SCATTER_DB
  return Math.hypot(ownDb, seen.resolution / Math.sqrt(12))
}

function offsetsOf(step: Step, context: Context): { offsetHz: number; sinadDb: number }[] {
  const standing = context.readingsOf(step)
  return step.slots.flatMap(({ id, kind }) => {
    const seen = kind.is === 'offset' ? standing.get(id)?.seen : undefined
    return seen?.as === 'figure' ? [{ offsetHz: Number(kind.hz), sinadDb: seen.value }] : []
  })
}
