import type { Part } from './types'

/** How a radio is going to be keyed. */
export interface Duty {
  keyedS: number
  restS: number
}

/** Where and how a chain is heated. */
export interface HeatConditions {
  ambientC: number
  duty: Duty
}

/** Conditions where nobody says: 25 °C, a minute keyed and a minute of rest (common practice, no source). */
export const HEAT_DEFAULTS = {
  ambientC: 25,
  duty: { keyedS: 60, restS: 60 },
} as const satisfies HeatConditions

/**
 * Time over which a part averages what heats it, s: one minute for the small bodies of parts under 20 W, five
 * for
 * finned pads and loads (common practice, no source; on the careful side).
 */
export function averagingTimeS(part: Part): number {
  return part.ratingW !== null && part.ratingW < 20 ? 60 : 300
}

/** What the heat in a part comes to. */
export interface PartHeat {
  /** Rating left at the ambient temperature, W; null when nobody says what the part bears. */
  ratingW: number | null
  /** Most it may see however briefly, W. */
  peakW: number | null
  /** While keyed, W. */
  keyedW: number
  /** Over the planned duty, W. */
  averageW: number
  /** Keyed all the time it keeps within its rating. */
  continuous: boolean
  /** Time over which it averages, s. */
  averagingS: number
  /** Longest it may be keyed in that time, s; all of it where it may be for ever, 0 where never. */
  mayBeKeyedS: number
  /** Rest after the longest key-down, s. */
  restS: number
}

/**
 * Rating at an ambient temperature, W: full to 25 °C, from there in a line to nothing at `zeroRatingAtC`.
 * @see the derating line of every load's data sheet (common practice, no source).
 */
export function deratedW(part: Part, ambientC: number): number | null {
  if (part.ratingW === null || part.zeroRatingAtC === null || ambientC <= 25) return part.ratingW
  return Math.max(0, (part.ratingW * (part.zeroRatingAtC - ambientC)) / (part.zeroRatingAtC - 25))
}

/**
 * Heat bookkeeping of one part: the average over the planned duty against its derated rating, the peak
 * against
 * the most it may see, and how long it may be keyed.
 * @param keyedW - power it takes up (or, for parts that only carry it, carries) while keyed.
 */
export function partHeat(part: Part, keyedW: number, conditions: HeatConditions): PartHeat {
  const { duty, ambientC } = conditions
  const ratingW = deratedW(part, ambientC)
  const peakW = part.peakW ?? ratingW
  const averagingS = averagingTimeS(part)
  const averageW = averageOver(keyedW, duty, averagingS)
  const bears = mayBeKeyedS(keyedW, { ratingW, peakW, averagingS })
  return {
    ratingW,
    peakW,
    keyedW,
    averageW,
    continuous: bears >= averagingS,
    averagingS,
    mayBeKeyedS: bears,
    restS: bears >= averagingS ? 0 : averagingS - bears,
  }
}

/** A rating met to the last digit is met. */
const TOLERANCE = 1.0001

/**
 * Average over the worst stretch of a duty as long as the part averages: a short duty averages out, a long
 * key-down does not.
 */
function averageOver(keyedW: number, duty: Duty, averagingS: number): number {
  const cycleS = duty.keyedS + duty.restS
  if (duty.keyedS >= averagingS || cycleS <= 0) return keyedW
  if (cycleS >= averagingS) return (keyedW * duty.keyedS) / averagingS
  return (keyedW * duty.keyedS) / cycleS
}

/** How long a part may be keyed within its averaging time, s. */
function mayBeKeyedS(
  keyedW: number,
  part: { ratingW: number | null; peakW: number | null; averagingS: number },
): number {
  const { ratingW, peakW, averagingS } = part
  if (ratingW === null || peakW === null || keyedW > peakW * TOLERANCE) return 0
  return ratingW >= keyedW / TOLERANCE ? averagingS : (averagingS * ratingW) / keyedW
}
