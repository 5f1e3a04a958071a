/** Two results of the same thing compared. */
export interface EnScore {
  en: number
  /** |E_n| ≤ 1: they agree within what both say of their ranges. */
  agree: boolean
}

/**
 * E_n = (x1 − x2)/√(U1² + U2²), U the expanded uncertainties (95 %).
 * @see ISO 13528 and ISO/IEC 17043 (from memory).
 */
export function enScore(
  first: { value: number; expanded: number },
  second: { value: number; expanded: number },
): EnScore {
  const en = (first.value - second.value) / Math.hypot(first.expanded, second.expanded)
  return { en, agree: Math.abs(en) <= 1 }
}
