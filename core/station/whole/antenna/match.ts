import type { Context } from '../../../context'
import { figureIn, type OwnContribution } from '../../../judging'
import { reflectionFromVswr } from '../../../quantity'
import type { Channel, FigureReading } from '../../../review'
import type { Step } from '../../../step'
import { matchSlotId } from './plan'

/** How far down a bridge or a coupler sees a reflection where nobody says, dB (common practice, no source). */
const ASSUMED_DIRECTIVITY_DB = 25

/** A match at one channel. */
export interface ChannelMatch {
  channel: Channel
  reading: FigureReading
  vswr: number
  /** |Γ|. */
  reflection: number
}

/** The matches of a step that were read, from low to high. */
export function matchesOf(step: Step, context: Context): ChannelMatch[] {
  return [...step.band.channels]
    .sort((a, b) => a.frequencyHz - b.frequencyHz)
    .flatMap(channel => {
      const reading = figureIn(step, { id: matchSlotId(channel.id) }, context)
      if (!reading) return []
      const vswr = Math.max(1, reading.seen.value)
      return [{ channel, reading, vswr, reflection: reflectionFromVswr(vswr) }]
    })
}

/** How far down the bench’s analyser of antennas sees a reflection, dB: the only one’s, else assumed. */
export function directivityOf(context: Context): { db: number; assumed: boolean } {
  const analysers = context.review.instruments.flatMap(one => (one.kind === 'antenna-analyser' ? [one] : []))
  const [only] = analysers
  return analysers.length === 1 && only
    ? { db: only.directivityDb, assumed: only.assumed }
    : { db: ASSUMED_DIRECTIVITY_DB, assumed: true }
}

/** What an imperfect bridge leaves open of |Γ|: what leaks past it adds at any angle, ±10^(−D/20). */
export function leakOf(context: Context): { halfWidth: number; assumed: boolean } {
  const { db, assumed } = directivityOf(context)
  return { halfWidth: 10 ** (-db / 20), assumed }
}

/** The same of a figure that follows |Γ|, by its slope there. */
export function bridgeLine(slope: number, context: Context): OwnContribution {
  const { halfWidth, assumed } = leakOf(context)
  return {
    id: 'bridge',
    group: 'instrument',
    label: 'Directivity of the bridge',
    distribution: 'u-shaped',
    halfWidth: Math.abs(slope) * halfWidth,
    assumed,
  }
}

/** Slope of the VSWR over |Γ|: 2/(1 − Γ)². */
export function vswrSlope(reflection: number): number {
  return 2 / (1 - reflection) ** 2
}

/** Slope of the mismatch loss over |Γ|, dB: 8.686·Γ/(1 − Γ²). */
export function lossSlope(reflection: number): number {
  return ((20 / Math.LN10) * reflection) / (1 - reflection * reflection)
}
