/** One shape of SINAD against level, as a table over the carrier’s ratio to noise. */
export interface CurveShape {
  table: Float64Array
  /** How likely it is before anything is read, natural logarithm. */
  logPrior: number
}

/** First ratio of the tables, dB, and the step of them. */
export const SHAPE_TABLE_FROM_DB = -30
export const SHAPE_STEP_DB = 0.2
const TABLE_LENGTH = 501

const COUNT = 480

/**
 * `limiter`: an FM receiver, steep below its threshold. `linear`: AM and SSB, decibel for decibel down to the
 * noise.
 */
export type CurveFamily = 'limiter' | 'linear'

/** Between which ends the shapes of a family lie. */
interface FamilyEnds {
  /** What the audio gains over the carrier’s own ratio to noise above the threshold, dB. */
  gain: Ends
  /** Weight of the clicks at the threshold; 0: there is none. */
  clicks: Ends
  /** What stands for everything that is not in the law: the slope of the whole, 1 as the law has it. */
  tilt: Ends
  /** Where the receiver’s own distortion ends the curve, dB. */
  ceiling: Ends
}

interface Ends {
  from: number
  to: number
}

/** The law holds to about so much: the tilt’s spread around 1. */
const TILT_SPREAD = 0.2

const CEILING: Ends = { from: 16, to: 55 }

/** What simulated receivers at I/Q level came to, written apart, with room on both sides: docs/sources.md. */
const FAMILIES: Record<CurveFamily, FamilyEnds> = {
  limiter: {
    gain: { from: 2, to: 20 },
    clicks: { from: 1.2, to: 12 },
    tilt: { from: 0.88, to: 1.12 },
    ceiling: CEILING,
  },
  linear: {
    gain: { from: 0, to: 1 },
    clicks: { from: 0, to: 0 },
    tilt: { from: 0.88, to: 1.12 },
    ceiling: CEILING,
  },
}

const known = new Map<CurveFamily, CurveShape[]>()

/**
 * The shapes a receiver's curve may have, worked out once: evenly spread over what the audio gains above the
 * threshold, the weight of the clicks, the tilt of the whole, and the ceiling.
 */
export function curveShapes(family: CurveFamily): readonly CurveShape[] {
  let shapes = known.get(family)
  if (!shapes) known.set(family, (shapes = shapesOf(FAMILIES[family])))
  return shapes
}

function shapesOf(ends: FamilyEnds): CurveShape[] {
  return Array.from({ length: COUNT }, (_unused, i) => shapeAt(i, ends))
}

/** Additive recurrence with the generalised golden ratio of four dimensions (Roberts, 2018; from memory). */
const GOLDEN = 1.2207440846057596

function shapeAt(index: number, ends: FamilyEnds): CurveShape {
  const share = (k: number) => (0.5 + (index + 1) * GOLDEN ** -k) % 1
  const tilt = ends.tilt.from + share(3) * (ends.tilt.to - ends.tilt.from)
  return {
    logPrior: -(((tilt - 1) / TILT_SPREAD) ** 2) / 2,
    table: tableOf({
      gainDb: ends.gain.from + share(1) * (ends.gain.to - ends.gain.from),
      clicks: evenly(ends.clicks, share(2)),
      tilt,
      ceilingDb: evenly(ends.ceiling, share(4)),
    }),
  }
}

/** Even over the logarithm. */
function evenly({ from, to }: Ends, share: number): number {
  return from === 0 ? 0 : from * (to / from) ** share
}

interface ShapeFacts {
  gainDb: number
  clicks: number
  tilt: number
  ceilingDb: number
}

/**
 * SINAD = 1 + S/(N + D). Above the threshold the noise falls with the carrier’s ratio to noise ρ; below it
 * clicks come in proportion to e^−ρ, and the noise takes the modulation down by 1 − e^−ρ.
 * @see Rice, “Noise in FM receivers” (1963): clicks and suppression (from memory).
 */
function tableOf({ gainDb, clicks, tilt, ceilingDb }: ShapeFacts): Float64Array {
  const distortion = 10 ** (-ceilingDb / 10)
  const gain = 10 ** (gainDb / 10)
  return Float64Array.from({ length: TABLE_LENGTH }, (_unused, i) => {
    const ratio = 10 ** ((SHAPE_TABLE_FROM_DB + i * SHAPE_STEP_DB) / 10)
    const left = clicks > 0 ? (1 - Math.exp(-ratio)) ** 2 : 1
    const noise = (1 / (gain * ratio) + clicks * Math.exp(-ratio)) / left
    return 10 * Math.log10(1 + 1 / (noise ** tilt + distortion))
  })
}
