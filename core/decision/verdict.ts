/** What can be said of one result. Order of gravity for a group: see `worstVerdict`. */
export type VerdictState = 'inside' | 'too-close' | 'outside' | 'not-covered' | 'no-figure' | 'observation'

/** How the verdict is worded: three states, or four for readers who expect them. */
export type VerdictForm = 'three' | 'four'

/** A verdict with the figures it rests on. */
export interface Verdict {
  state: VerdictState
  /** Distance to the limit on the good side, dB; negative is outside. null without value or limit. */
  marginDb: number | null
  /** 95 % half-width of the margin, dB. */
  rangeDb: number | null
  /** Ends of the 95 % range of the margin, dB: the worse and the better one. */
  marginLowDb: number | null
  marginHighDb: number | null
  /** Probability that the true value complies; null where nothing was decided. */
  probabilityComplies: number | null
  /** Why, where the state alone does not say. */
  why: string | null
  isBound: boolean
  form: VerdictForm
  /**
   * Where the figure is no level: what one “dB” of the margin stands for. A tenth of the limit, so that
   * strips compare.
   */
  scale?: VerdictScale
}

/** Unit of a figure that is no level, and how much of it counts as one dB in a margin. */
export interface VerdictScale {
  unit: 'Hz' | 'W' | 'V' | 'A' | '°C' | 'm'
  perDb: number
}

/** A verdict that rests on no number. */
export function verdictWithout(
  state: 'not-covered' | 'no-figure' | 'observation',
  why: string | null,
): Verdict {
  return {
    state,
    marginDb: null,
    rangeDb: null,
    marginLowDb: null,
    marginHighDb: null,
    probabilityComplies: null,
    why,
    isBound: false,
    form: 'three',
  }
}
