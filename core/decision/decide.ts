import type { ErrorDistribution } from '../uncertainty'
import { differenceUnit, type FigureUnit } from '../quantity'
import type { Verdict, VerdictState } from './verdict'

/** The decision rules of the handbook, section 6, and the four-state form of the guarded one. */
export const DECISION_RULES = ['sure-either-way', 'guarded', 'shared-risk', 'four-states'] as const

/** One of the decision rules. */
export type DecisionRule = (typeof DECISION_RULES)[number]

/** Share of certainty asked for by “sure either way”, one-sided. */
const SURE = 0.95

/** The same where the value is guarded by U: 2.5 % are left beyond each end of a 95 % range. */
const GUARDED = 0.975

/**
 * `upper`: the value must not exceed the limit. `lower`: it must reach it. `both`: it must lie between the
 * limit’s negative and the limit.
 */
export type LimitDirection = 'upper' | 'lower' | 'both'

/** A value, the limit it is held against, and what is known of the value’s error; all in one unit. */
export interface DecideInput {
  value: number
  limit: number
  direction: LimitDirection
  /** Distribution of true − stated value, in `unit`. */
  errors: ErrorDistribution
  /** The value is only known to be at most this. */
  isUpperBound?: boolean
  rule?: DecisionRule
  /** Unit of value and limit; dB by default, dBm counts as dB. */
  unit?: FigureUnit
}

/**
 * Judges a value against a limit by one of the rules, in either direction or between two limits.
 * - sure either way: inside when the true value complies with at least 95 % probability (Gaussian: value +
 * 1.645·u ≤ limit),
 *   outside at 5 % or less, otherwise too close to call;
 * - guarded: inside when the whole 95 % range is, outside when none of it is, otherwise too close; for a
 * lopsided range, with 2.5 % left
 *   beyond either end;
 * - shared risk: the value alone decides;
 * - four states: as guarded, and between the guards conditional pass or conditional fail by the value.
 *
 * An upper bound can only be inside of an upper limit, or outside of a lower one; else it is not covered.
 * @see JCGM 106:2012, 7.3 and 8.2 to 8.3; ILAC-G8:09/2019, 4.2.1 to 4.2.3 (from memory).
 */
export function decide(input: DecideInput): Verdict {
  const { value: stated, limit, direction, errors, isUpperBound = false, rule = 'sure-either-way' } = input
  const inUnit = input.unit === undefined ? 'dB' : differenceUnit(input.unit)
  const upper = direction !== 'lower'
  const mirrored = direction === 'both' && stated < 0
  // Between two limits the nearer one counts.
  const value = mirrored ? -stated : stated
  const margin = upper ? limit - value : value - limit
  const worsens = upper && !mirrored
  const probabilityComplies = probabilityOf(input, margin)
  const state = stateFor(rule, margin, probabilityComplies)
  const usable = !isUpperBound || state === (upper ? 'inside' : 'outside')
  return {
    state: usable ? state : 'not-covered',
    unit: inUnit,
    perStripDb: inUnit === 'dB' ? 1 : Math.max(Math.abs(limit), 1e-9) / 10,
    margin,
    marginLow: margin + (worsens ? -errors.high : errors.low),
    marginHigh: margin + (worsens ? -errors.low : errors.high),
    range: Number.isFinite(errors.low) ? (errors.high - errors.low) / 2 : errors.high,
    probabilityComplies,
    isBound: isUpperBound,
    form: rule === 'four-states' ? 'four' : 'three',
    why: isUpperBound ? boundWords(usable) : null,
  }
}

function probabilityOf({ value, limit, direction, errors }: DecideInput, margin: number): number {
  switch (direction) {
    case 'both':
      return between(errors, -limit - value, limit - value)
    case 'upper':
      return errors.probabilityBelow(margin)
    case 'lower':
      return 1 - below(errors, -margin)
  }
}

function boundWords(usable: boolean): string {
  return usable
    ? 'At the noise floor: the true level is at most this.'
    : 'At the noise floor, and the floor is not low enough to tell.'
}

function between(errors: ErrorDistribution, from: number, to: number): number {
  return Math.max(0, errors.probabilityBelow(to) - below(errors, from))
}

/** P(error < x): a certain value right at a lower limit complies. */
function below(errors: ErrorDistribution, x: number): number {
  if (errors.method === 'none') {
    if (x > 0) return 1
    return 0
  }
  return errors.probabilityBelow(x)
}

function stateFor(rule: DecisionRule, margin: number, probabilityComplies: number): VerdictState {
  switch (rule) {
    case 'sure-either-way':
      if (probabilityComplies >= SURE) return 'inside'
      if (probabilityComplies <= 1 - SURE) return 'outside'
      return 'too-close'

    case 'guarded':
    case 'four-states':
      if (probabilityComplies >= GUARDED) return 'inside'
      if (probabilityComplies <= 1 - GUARDED) return 'outside'
      return 'too-close'

    case 'shared-risk':
      return margin >= 0 ? 'inside' : 'outside'
  }
}
