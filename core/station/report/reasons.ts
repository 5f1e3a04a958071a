import type { ReportBlock } from '../../document'
import { limitSource } from '../../judging'
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

/** What was noted on slots, each line once. */
export function noteList(slots: readonly SlotResult[]): ReportBlock[] {
  const items = [...new Set(slots.flatMap(({ notes }) => notes))]
  return items.length > 0 ? [{ kind: 'list', items }] : []
}
