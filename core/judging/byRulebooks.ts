import { isGraver, verdictWithout, verdictWords } from '../decision'
import type { AnyLimit, Judgement } from '../step'

/** What a rulebook without a usable figure says: no figure in law, or that it cannot be applied yet. */
export function withoutFigure(limit: AnyLimit, cannotWords: string): Judgement {
  const silent = limit.kind === 'no-figure'
  const verdict = verdictWithout(silent ? 'no-figure' : 'not-covered', limit.reason)
  return { limit, verdict, words: silent ? verdictWords(verdict) : cannotWords, ratio: null }
}

/** True for a limit that has a figure to judge by. */
export function hasFigure({ kind }: AnyLimit): boolean {
  return kind === 'limit' || kind === 'scalar'
}

/**
 * The rulebook that governs: the gravest verdict of those with a figure; what cannot be judged before what
 * has none.
 */
export function governingOf<J extends Judgement>(each: readonly J[]): J {
  let gravest: J | null = null
  for (const one of each)
    if (hasFigure(one.limit) && (gravest === null || isGraver(one.verdict, gravest.verdict))) gravest = one
  return gravest ?? each.find(({ limit }) => limit.kind === 'cannot-judge') ?? each[0]!
}
