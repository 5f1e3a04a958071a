import type { Verdict, VerdictState } from './verdict'

/** Place of a state, the gravest first. */
const GRAVITY: Record<VerdictState, number> = {
  outside: 0,
  'too-close': 1,
  'not-covered': 2,
  inside: 3,
  'no-figure': 4,
  observation: 5,
}

/** A group's verdict and the member that governs it. */
export interface GroupVerdict<T> {
  verdict: Verdict
  governs: T
}

/**
 * The worst of a group in the order outside, too close, not covered, inside; among equals the one with
 * the least margin. It names the member that governs.
 * @returns null for an empty group.
 */
export function worstVerdict<T>(members: readonly { member: T; verdict: Verdict }[]): GroupVerdict<T> | null {
  let worst: { member: T; verdict: Verdict } | null = null
  for (const candidate of members)
    if (worst === null || isGraver(candidate.verdict, worst.verdict)) worst = candidate
  return worst && { verdict: worst.verdict, governs: worst.member }
}

/** True when the first of two verdicts is the graver: by state, among equals by the lesser margin. */
export function isGraver(a: Verdict, b: Verdict): boolean {
  const byState = GRAVITY[a.state] - GRAVITY[b.state]
  if (byState !== 0) return byState < 0
  return marginInStrip(a) < marginInStrip(b)
}

function marginInStrip({ margin, perStripDb }: Verdict): number {
  return margin === null ? Infinity : margin / perStripDb
}
