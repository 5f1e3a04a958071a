import binomialCdf from '@stdlib/stats-base-dists-binomial-cdf'
import type { Context } from '../../../context'
import { type BlindChoice, type BlindRound, byEarMemo } from './memo'

/** What listeners chose between two radios, seen from the first. */
export interface BlindScore {
  preferred: number
  other: number
  same: number
  listeners: number
  /** Chance that guessing alone divides the choices so unevenly, or more, either way. */
  byChance: number
}

/** What was chosen between two sets, whichever of them the rounds are kept with; null for no round. */
export function blindScore(setId: string, otherSetId: string, context: Context): BlindScore | null {
  const own = byEarMemo(setId, context).rounds.filter(round => round.otherSetId === otherSetId)
  const theirs = byEarMemo(otherSetId, context).rounds.filter(round => round.otherSetId === setId)
  const rounds = [...own, ...theirs.map(seenFromOther)]
  if (rounds.length === 0) return null
  const count = (choice: BlindChoice) => rounds.filter(round => round.choice === choice).length
  const [preferred, other] = [count('this'), count('other')]
  return {
    preferred,
    other,
    same: count('same'),
    listeners: new Set(rounds.map(({ who }) => who)).size,
    byChance: chanceOfSplit(preferred, other),
  }
}

const MIRRORED: Readonly<Record<BlindChoice, BlindChoice>> = { this: 'other', other: 'this', same: 'same' }

function seenFromOther(round: BlindRound): BlindRound {
  return { ...round, choice: MIRRORED[round.choice] }
}

/**
 * Sign test: the chance that even guesses fall as unevenly as these, or more so, to either side.
 * @returns 1 where nobody chose.
 * @see J. Arbuthnot's test as in W. J. Conover, Practical Nonparametric Statistics, 3.4 (from memory).
 */
export function chanceOfSplit(one: number, other: number): number {
  return Math.min(1, 2 * binomialCdf(Math.min(one, other), one + other, 0.5))
}
