import { printDb } from '#core/quantity'
import type { SlotResult } from '#core/step'

/** What a derived figure answers to, as lines of a drawing: the claim, and each rulebook with a figure. */
export function drawnLimits(result: SlotResult | undefined): { title: string; db: number }[] {
  if (!result) return []
  const claim = result.claim
    ? [{ title: `claim, ${printDb(result.claim.limit, 0)}`, db: result.claim.limit }]
    : []
  const ofBooks = [...result.each, ...(result.yardstick ? [result.yardstick] : [])].flatMap(({ limit }) =>
    limit.kind === 'scalar' ? [{ title: limit.rulebook.title, db: limit.limit.value }] : [],
  )
  return [...claim, ...ofBooks]
}
