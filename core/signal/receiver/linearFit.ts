/** A fit of b by weights of the columns whose products are in `a`: the weights, and the inverse of `a`. */
export interface LinearFit {
  weights: number[]
  inverse: number[][]
}

/** Where what is left of a column after those before it is less than this share of it, it says nothing new. */
const LEAST_LEFT = 1e-3

/**
 * Solves a·x = b for a symmetric matrix by Gauss and Jordan; null where one column is all but a mix of the others.
 */
export function linearFit(a: readonly (readonly number[])[], b: readonly number[]): LinearFit | null {
  const size = b.length
  const rows = a.map((row, r) => [...row, ...b.map((_unused, c) => (r === c ? 1 : 0)), b[r]!])
  for (let k = 0; k < size; k++) {
    const pivot = rows[k]![k]!
    if (!(Math.abs(pivot) > LEAST_LEFT * Math.abs(a[k]![k]!))) return null
    const own = (rows[k] = rows[k]!.map(value => value / pivot))
    for (let r = 0; r < size; r++) {
      const factor = rows[r]![k]!
      if (r !== k && factor !== 0) rows[r] = rows[r]!.map((value, c) => value - factor * own[c]!)
    }
  }
  return {
    weights: rows.map(row => row[2 * size]!),
    inverse: rows.map(row => row.slice(size, 2 * size)),
  }
}
