import type { ReportBlock } from '../../document'
import { byTheStandard, limitSource } from '../../judging'
import type { AnyLimit, SlotResult } from '../../step'

/** Why limits are what they are, by every rulebook they come from, as quiet lines. */
export function reasonLines(limits: readonly AnyLimit[]): ReportBlock[] {
  const texts = new Set(limits.map(reasonWords))
  return [...texts].map(text => ({ kind: 'paragraph', quiet: true, text }))
}

function reasonWords(limit: AnyLimit): string {
  const [title, ...clause] = limitSource(limit)
  const owned = limit.rulebook.owner === 'reviewer' ? `${title} (the reviewer’s own)` : title
  const recalled =
    limit.kind === 'limit' && limit.recalled
      ? ` Recalled, confidence ${limit.confidence}; check the current text.`
      : ''
  return `${[owned, ...clause].join(', ')}: ${limit.reason}${recalled}`
}

/** What standards that decide by themselves say of slots, beside the review’s own rule; each line once. */
export function standardsLines(slots: readonly SlotResult[]): ReportBlock[] {
  const items = slots.flatMap(({ slot, each, reading }) =>
    each.flatMap(one => {
      const value = reading?.seen.as === 'figure' ? reading.seen.value : null
      const verdict = byTheStandard(one, value)
      if (!verdict) return []
      const doubt = verdict.tooUncertain ? ` ${verdict.tooUncertain}` : ''
      return [`${slot.label}, by ${one.limit.rulebook.title} itself: ${verdict.words}.${doubt}`]
    }),
  )
  return items.length > 0 ? [{ kind: 'list', items: [...new Set(items)] }] : []
}

/** What was noted on slots, each line once. */
export function noteList(slots: readonly SlotResult[]): ReportBlock[] {
  const items = [...new Set(slots.flatMap(({ notes }) => notes))]
  return items.length > 0 ? [{ kind: 'list', items }] : []
}
