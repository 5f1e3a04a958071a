import type { DifferenceUnit } from '../quantity'

/** What can be said of one result. Order of gravity for a group: see `worstVerdict`. */
export type VerdictState = 'inside' | 'too-close' | 'outside' | 'not-covered' | 'no-figure' | 'observation'

/** How the verdict is worded: three states, or four for readers who expect them. */
export type VerdictForm = 'three' | 'four'

/** A verdict with the figures it rests on. */
export interface Verdict {
  state: VerdictState
  /** Unit of margin and range: dB for levels and ratios, else the figure's own. */
  unit: DifferenceUnit
  /** Distance to the limit on the good side, in `unit`; negative is outside. null without value or limit. */
  margin: number | null
  /** 95 % half-width of the margin, in `unit`. */
  range: number | null
  /** Ends of the 95 % range of the margin, in `unit`: the worse and the better one. */
  marginLow: number | null
  marginHigh: number | null
  /** Probability that the true value complies; null where nothing was decided. */
  probabilityComplies: number | null
  /** Why, where the state alone does not say. */
  why: string | null
  isBound: boolean
  form: VerdictForm
  /**
   * How much of `unit` is drawn as one dB in a margin strip: 1 for dB, else a tenth of the limit, so that
   * strips of different figures compare. For drawing and ranking only; no figure is ever said in it.
   */
  perStripDb: number
}

/** A verdict that rests on no number: nothing decided, or a plain check that was seen to hold or not. */
export function verdictWithout(state: Exclude<VerdictState, 'too-close'>, why: string | null): Verdict {
  return {
    state,
    unit: 'dB',
    perStripDb: 1,
    margin: null,
    range: null,
    marginLow: null,
    marginHigh: null,
    probabilityComplies: null,
    why,
    isBound: false,
    form: 'three',
  }
}
