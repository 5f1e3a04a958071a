import { decide, type DecideInput } from './decide'
import type { Verdict, VerdictState } from './verdict'

/** A limit of which only is known that it lies between two figures, and why. */
export interface LimitBetween {
  lowest: number
  highest: number
  why: string
}

/**
 * Judges a value against a limit that may be anything between two figures: inside or outside only where it is so
 * at both ends, whatever lies between. The margin is stated in the middle, its range reaches to both ends.
 */
export function decideBetween(input: Omit<DecideInput, 'limit'>, limit: LimitBetween): Verdict {
  const ends = [limit.lowest, limit.highest].map(end => decide({ ...input, limit: end }))
  const [one, other] = ends as [Verdict, Verdict]
  const [marginLow, marginHigh] = [
    Math.min(one.marginLow!, other.marginLow!),
    Math.max(one.marginHigh!, other.marginHigh!),
  ]
  return {
    ...one,
    state: stateOf(one.state, other.state),
    margin: (one.margin! + other.margin!) / 2,
    marginLow,
    marginHigh,
    range: Number.isFinite(marginHigh - marginLow) ? (marginHigh - marginLow) / 2 : one.range,
    // What holds at both ends: whoever wants to be sure looks at the worse.
    probabilityComplies: Math.min(one.probabilityComplies!, other.probabilityComplies!),
    why: limit.why,
  }
}

function stateOf(one: VerdictState, other: VerdictState): VerdictState {
  if (one === other) return one
  return one === 'not-covered' || other === 'not-covered' ? 'not-covered' : 'too-close'
}
