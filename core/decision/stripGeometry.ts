import type { Verdict } from './verdict'

/** Where the limit stands in a margin strip, share of its width. */
const STRIP_LIMIT_AT = 0.64

/** Share of the width per unit of asinh; 40 dB inside still fits. */
const STRETCH = 0.15
const KNEE_DB = 1.5
const EDGE = 0.02

/** An open end of a range is drawn to the edge. */
const FARTHEST_DB = 1e4

/** Ticks on both sides of the limit, dB. */
const STRIP_TICKS_DB = [1, 3, 10, 30] as const

/** Where things stand in a strip, all as shares of its width. */
export interface StripGeometry {
  limitAt: number
  ticks: number[]
  /** null for a strip without a mark. */
  mark: number | null
  whisker: { from: number; to: number } | null
  /** The value lies beyond the edge of the strip. */
  clipped: boolean
}

/**
 * Place of a margin (dB, positive inside) in the strip: x0 − k·asinh(margin/1.5 dB), held inside its edges.
 */
export function stripPlace(marginDb: number): number {
  return Math.min(1 - EDGE, Math.max(EDGE, rawPlace(marginDb)))
}

/** Lays out a strip for a verdict: not covered, no figure and observations have no mark. */
export function stripGeometry(
  verdict: Pick<Verdict, 'state' | 'margin' | 'marginLow' | 'marginHigh' | 'perStripDb'>,
): StripGeometry {
  const empty = { limitAt: STRIP_LIMIT_AT, ticks: ticks(), mark: null, whisker: null, clipped: false }
  if (verdict.margin === null || !MARKED.includes(verdict.state)) return empty
  const raw = rawPlace(verdict.margin / verdict.perStripDb)
  return {
    ...empty,
    mark: stripPlace(verdict.margin / verdict.perStripDb),
    clipped: raw < EDGE || raw > 1 - EDGE,
    whisker: whiskerOf(verdict),
  }
}

const MARKED: readonly Verdict['state'][] = ['inside', 'outside', 'too-close']

function ticks(): number[] {
  return [...STRIP_TICKS_DB.map(rawPlace), ...STRIP_TICKS_DB.map(db => rawPlace(-db))].filter(
    place => place > 0 && place < 1,
  )
}

function whiskerOf({
  marginLow,
  marginHigh,
  perStripDb,
}: Pick<Verdict, 'marginLow' | 'marginHigh' | 'perStripDb'>): StripGeometry['whisker'] {
  if (marginLow === null || marginHigh === null || marginLow === marginHigh) return null
  return {
    from: stripPlace(Math.min(marginHigh / perStripDb, FARTHEST_DB)),
    to: stripPlace(Math.max(marginLow / perStripDb, -FARTHEST_DB)),
  }
}

function rawPlace(marginDb: number): number {
  return STRIP_LIMIT_AT - STRETCH * Math.asinh(marginDb / KNEE_DB)
}
