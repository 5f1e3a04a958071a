import type { ErrorDistribution } from '../uncertainty'
import type { Verdict, VerdictScale, VerdictState } from './verdict'

/** The decision rules of the handbook, section 6, and the four-state form of the guarded one. */
export const DECISION_RULES = ['sure-either-way', 'guarded', 'shared-risk', 'four-states'] as const

export type DecisionRule = (typeof DECISION_RULES)[number]

/** Share of certainty asked for by “sure either way”, one-sided. */
export const SURE = 0.95

/** The same where the value is guarded by U: 2.5 % are left beyond each end of a 95 % range. */
const GUARDED = 0.975

/**
 * `upper`: the value must not exceed the limit. `lower`: it must reach it. `both`: it must lie between the
 * limit’s negative and the limit.
 */
export type LimitDirection = 'upper' | 'lower' | 'both'

export interface DecideInput {
  valueDb: number
  limitDb: number
  direction: LimitDirection
  /** Distribution of true − stated value, dB. */
  errors: ErrorDistribution
  /** The value is only known to be at most this. */
  isUpperBound?: boolean
  rule?: DecisionRule
  scale?: VerdictScale
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
  const {
    valueDb: seenDb,
    limitDb,
    direction,
    errors,
    isUpperBound = false,
    rule = 'sure-either-way',
    scale,
  } = input
  const mirrored = direction === 'both' && seenDb < 0
  const valueDb = direction === 'both' ? Math.abs(seenDb) : seenDb
  const upper = direction !== 'lower'
  const marginDb = upper ? limitDb - valueDb : valueDb - limitDb
  const [worse, better] = upper && !mirrored ? [-errors.highDb, -errors.lowDb] : [errors.lowDb, errors.highDb]
  const marginLowDb = marginDb + worse
  const marginHighDb = marginDb + better
  const probabilityComplies =
    direction === 'both'
      ? between(errors, -limitDb - seenDb, limitDb - seenDb)
      : upper
        ? errors.probabilityBelow(marginDb)
        : 1 - below(errors, -marginDb)
  const state = stateFor(rule, { marginDb, probabilityComplies })
  const usable = !isUpperBound || (upper ? state === 'inside' : state === 'outside')
  return {
    state: usable ? state : 'not-covered',
    marginDb,
    marginLowDb,
    marginHighDb,
    rangeDb: Number.isFinite(errors.lowDb) ? (errors.highDb - errors.lowDb) / 2 : errors.highDb,
    probabilityComplies,
    isBound: isUpperBound,
    form: rule === 'four-states' ? 'four' : 'three',
    ...(scale && { scale }),
    why: !isUpperBound
      ? null
      : usable
        ? 'At the noise floor: the true level is at most this.'
        : 'At the noise floor, and the floor is not low enough to tell.',
  }
}

function between(errors: ErrorDistribution, fromDb: number, toDb: number): number {
  return Math.max(0, errors.probabilityBelow(toDb) - below(errors, fromDb))
}

/** P(error < x): a certain value right at a lower limit complies. */
function below(errors: ErrorDistribution, xDb: number): number {
  if (errors.method === 'none') {
    if (xDb > 0) return 1
    return 0
  }
  return errors.probabilityBelow(xDb)
}

function stateFor(rule: DecisionRule, of: { marginDb: number; probabilityComplies: number }): VerdictState {
  switch (rule) {
    case 'sure-either-way':
      if (of.probabilityComplies >= SURE) return 'inside'
      if (of.probabilityComplies <= 1 - SURE) return 'outside'
      return 'too-close'

    case 'guarded':
    case 'four-states':
      if (of.probabilityComplies >= GUARDED) return 'inside'
      if (of.probabilityComplies <= 1 - GUARDED) return 'outside'
      return 'too-close'

    case 'shared-risk':
      return of.marginDb >= 0 ? 'inside' : 'outside'
  }
}
