/** What can be said of one result. Order of gravity for a group: see `worstVerdict`. */
export type VerdictState = 'inside' | 'too-close' | 'outside' | 'not-covered' | 'no-figure' | 'observation'

/** A verdict with the figures it rests on. */
export interface Verdict {
  state: VerdictState
  /** Distance to the limit on the good side, dB; negative is outside. null without value or limit. */
  marginDb: number | null
  /** 95 % half-width of the margin, dB. */
  rangeDb: number | null
  /** Probability that the true value complies; null where nothing was decided. */
  probabilityComplies: number | null
  /** Why, where the state alone does not say. */
  why: string | null
  isBound: boolean
}

/** A verdict that rests on no number. */
export function verdictWithout(state: 'not-covered' | 'no-figure' | 'observation', why: string | null): Verdict {
  return { state, marginDb: null, rangeDb: null, probabilityComplies: null, why, isBound: false }
}
