import { displayBelow, type DisplayLaw, noiseAloneDb } from './displayLaw'

/** What may stand under a display is parted into cells at these probabilities: narrow ones where a range ends. */
const LOWER = [0, 0.005, 0.015, 0.025, 0.04, 0.06, 0.1, 0.15, 0.2, 0.3, 0.4]
export const CELL_EDGES: readonly number[] = [...LOWER, 0.5, ...LOWER.map(p => 1 - p).reverse()]
/** Where the outermost edges are taken instead of at certainty. */
const OUTERMOST = 0.001
/** Deeper under the display than this nothing matters to a limit, dB. */
const DEEPEST_DB = 25
/** A display that noise alone reaches more often than this is only an upper bound. */
const BOUND_ABOVE = 0.025
const STEPS = 22

/** What the floor a display is counted from stands for. */
export type FloorFrom = 'mean-power' | 'display'

/** What a display leaves open of the carrier under it; all in dB against the display. */
export interface SignalUnderNoise {
  /** The carrier with even chances above and below. */
  middleDb: number
  /** Edges of its cells (`CELL_EDGES`), rising, against the middle. */
  edgesDb: readonly number[]
  /** Noise alone shows as much too often to tell. */
  isUpperBound: boolean
}

/**
 * The carrier that may stand under a display, by the display's own law: the carrier at probability p is the one that
 * would show less than was shown with probability 1 − p (a confidence distribution, whose ranges hold the truth as
 * often as they say). Where several laws are possible, the widest of them on either side.
 * @param aboveDb - the display over the floor, dB. @param from - whether the floor is the noise's mean power, or what
 *   the same display shows of noise alone.
 * @see T. Schweder and N. L. Hjort, Confidence, Likelihood, Probability (2016), chapter 3 (from memory).
 */
export function signalUnderNoise(
  laws: readonly DisplayLaw[],
  aboveDb: number,
  from: FloorFrom = 'mean-power',
): SignalUnderNoise {
  const over = laws.map(law => ({ law, displayDb: aboveDb + (from === 'display' ? noiseAloneDb(law) : 0) }))
  const edges = CELL_EDGES.map(edge => {
    const p = Math.min(1 - OUTERMOST, Math.max(OUTERMOST, edge))
    const each = over.map(({ law, displayDb }) => signalAt(law, displayDb, p) - displayDb)
    return p < 0.5 ? Math.min(...each) : Math.max(...each)
  })
  const middleDb = middleOf(over)
  return {
    middleDb,
    edgesDb: edges.map(edge => edge - middleDb),
    isUpperBound: over.some(
      ({ law, displayDb }) => 1 - displayBelow(law, displayDb, -Infinity) > BOUND_ABOVE,
    ),
  }
}

/** Between the least and the most that any of the laws has in its middle. */
function middleOf(over: readonly { law: DisplayLaw; displayDb: number }[]): number {
  const middles = over.map(({ law, displayDb }) => signalAt(law, displayDb, 0.5) - displayDb)
  return (Math.min(...middles) + Math.max(...middles)) / 2
}

/** The carrier over the noise that shows no more than this with probability 1 − p, dB. */
function signalAt(law: DisplayLaw, displayDb: number, p: number): number {
  let low = displayDb - DEEPEST_DB
  let high = displayDb + DEEPEST_DB
  if (displayBelow(law, displayDb, low) < 1 - p) return low
  for (let i = 0; i < STEPS; i++) {
    const middle = (low + high) / 2
    if (displayBelow(law, displayDb, middle) > 1 - p) low = middle
    else high = middle
  }
  return (low + high) / 2
}
