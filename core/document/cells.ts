import type { ReportCell } from './model'

/** Plain text in a cell. */
export function textCell(text: string): ReportCell {
  return { kind: 'text', text }
}

/** A figure in a cell, set to the right. */
export function numberCell(text: string): ReportCell {
  return { kind: 'text', text, align: 'right' }
}
