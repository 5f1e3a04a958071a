import type { Budget } from './budget'

/** One bar of the panel “what the ± is made of”. */
export interface BudgetLine {
  id: string
  label: string
  /** Its weight in the range: its standard uncertainty, widened as the whole is. */
  range: number
  /** Share of the variance, 0 to 1. */
  share: number
  assumed: boolean
}

const SMALLEST_SHARE = 0.0005

/**
 * The budget as lines to show, largest first; mismatch at several interfaces is one line.
 * Lines under 0.05 % of the variance are left to the sum.
 */
export function budgetLines(budget: Budget): BudgetLine[] {
  const widen = budget.standardUncertainty > 0 ? budget.range / budget.standardUncertainty : 0
  const variance = budget.standardUncertainty ** 2
  const lines = new Map<string, { label: string; square: number; assumed: boolean }>()
  for (const part of budget.contributions) {
    const key = part.group === 'mismatch' ? 'mismatch' : part.id
    const line = lines.get(key) ?? {
      label: part.group === 'mismatch' ? 'Mismatch' : part.label,
      square: 0,
      assumed: false,
    }
    line.square += part.standardUncertainty ** 2
    line.assumed ||= part.assumed
    lines.set(key, line)
  }
  return [...lines.entries()]
    .map(([id, { label, square, assumed }]) => ({
      id,
      label,
      assumed,
      range: widen * Math.sqrt(square),
      share: variance > 0 ? square / variance : 0,
    }))
    .filter(line => line.share >= SMALLEST_SHARE)
    .sort((a, b) => b.share - a.share)
}
