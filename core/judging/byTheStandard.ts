import type { VerdictState } from '../decision'
import { printDb, printSigned } from '../quantity'
import type { LargestUncertainty } from '../rules'
import type { Judgement } from '../step'

/** What a standard itself says of a figure, beside what the review’s rule does. */
export interface StandardsVerdict {
  state: VerdictState
  words: string
  /** Why the bench is too uncertain to test by it; null where it is good enough, or nobody says how good. */
  tooUncertain: string | null
}

/**
 * The verdict of a standard that holds the measured value against the limit, whatever is left open; with it whether
 * the bench leaves more open than the standard allows. null where a rulebook leaves that to whoever measures, or
 * nothing was judged.
 * @param judgement.value - the figure that was judged, for a largest uncertainty in percent.
 */
export function byTheStandard(judgement: Judgement, value: number | null): StandardsVerdict | null {
  const { limit, verdict } = judgement
  if (limit.kind !== 'limit' && limit.kind !== 'scalar') return null
  if (!limit.decides || verdict.margin === null) return null
  const state = stateOf(judgement)
  return {
    state,
    words:
      `${WORDS[state]}: the measured value against the limit, ` +
      `${printSigned(verdict.margin)} ${marginUnit(judgement)}`,
    tooUncertain: limit.decides.largest && tooUncertainWords(judgement, limit.decides.largest, value),
  }
}

const WORDS: Record<VerdictState, string> = {
  inside: 'Inside',
  outside: 'Outside',
  'too-close': 'Right at it',
  'not-covered': 'Not told',
  'no-figure': 'No figure',
  observation: 'Seen',
}

function stateOf({ verdict }: Judgement): VerdictState {
  const { margin, isBound, state } = verdict
  // A bound can show that it is inside, and nothing else.
  if (isBound) return state === 'inside' ? 'inside' : 'not-covered'
  return margin! >= 0 ? 'inside' : 'outside'
}

const marginUnit = ({ verdict }: Judgement) => verdict.unit

function tooUncertainWords(
  { verdict }: Judgement,
  { value, unit }: LargestUncertainty,
  figure: number | null,
): string | null {
  const allowed = unit === 'dB' ? value : allowedOf({ value, unit }, figure)
  if (allowed === null || verdict.range === null || verdict.range <= allowed) return null
  const is = unit === 'dB' ? `±${printDb(verdict.range)}` : `±${Math.round(verdict.range)} ${verdict.unit}`
  const may = unit === 'dB' ? `±${printDb(value, 2)}` : `±${value} ${unit === 'ppm' ? 'in a million' : '%'}`
  return `The standard allows a bench ${may} at most, and this one leaves ${is}: too uncertain to test by it.`
}

function allowedOf(
  { value, unit }: Pick<LargestUncertainty, 'value' | 'unit'>,
  figure: number | null,
): number | null {
  if (figure === null) return null
  return unit === '%' ? (value / 100) * Math.abs(figure) : value * 1e-6 * Math.abs(figure)
}
