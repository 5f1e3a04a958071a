import { probabilityBelow } from '../uncertainty'
import type { Verdict, VerdictState } from './verdict'

/** The decision rules; more follow the same signature. */
export type DecisionRule = 'sure-either-way'

/** Share of certainty asked for by “sure either way”, one-sided. */
export const SURE = 0.95

export interface DecideInput {
  valueDb: number
  limitDb: number
  /** `upper`: the value must not exceed the limit. `lower`: it must reach it. */
  direction: 'upper' | 'lower'
  standardUncertaintyDb: number
  degreesOfFreedom: number
  coverageFactor: number
  /** The value is only known to be at most this. */
  isUpperBound?: boolean
  rule?: DecisionRule
}

/**
 * Judges a value against a limit. “Sure either way”: inside when the true value complies with at least
 * 95 % probability (Gaussian: value + 1.645·u ≤ limit), outside at 5 % or less, otherwise too close to call.
 * An upper bound can only be inside of an upper limit, or outside of a lower one; else it is not covered.
 * @see JCGM 106:2012, 7.3 and 8.3; ILAC-G8:09/2019 (from memory).
 */
export function decide(input: DecideInput): Verdict {
  const { valueDb, limitDb, direction, standardUncertaintyDb, degreesOfFreedom, coverageFactor, isUpperBound = false } = input
  const marginDb = direction === 'upper' ? limitDb - valueDb : valueDb - limitDb
  const probabilityComplies = complianceProbability(marginDb, standardUncertaintyDb, degreesOfFreedom)
  const state = stateFor(probabilityComplies)
  const base = { marginDb, rangeDb: coverageFactor * standardUncertaintyDb, probabilityComplies, isBound: isUpperBound }
  if (!isUpperBound) return { ...base, state, why: null }
  const usable = direction === 'upper' ? state === 'inside' : state === 'outside'
  return usable
    ? { ...base, state, why: 'At the noise floor: the true level is at most this.' }
    : { ...base, state: 'not-covered', why: 'At the noise floor, and the floor is not low enough to tell.' }
}

function complianceProbability(marginDb: number, standardUncertaintyDb: number, degreesOfFreedom: number): number {
  if (standardUncertaintyDb === 0) return marginDb >= 0 ? 1 : 0
  return probabilityBelow(marginDb / standardUncertaintyDb, degreesOfFreedom)
}

function stateFor(probabilityComplies: number): VerdictState {
  if (probabilityComplies >= SURE) return 'inside'
  return probabilityComplies <= 1 - SURE ? 'outside' : 'too-close'
}
