/**
 * Cuts a row of figures where they change for good: the cuts that make the stretches’ own scatter least, each
 * cut paid for.
 * @param rows - several figures each, all in their own standard deviations.
 * @param least - a stretch is at least so long.
 * @param price - what a cut costs; 2·ln n for each figure and more suits white noise.
 * @returns where stretches begin, 0 first.
 * @see Killick, Fearnhead, Eckley, “Optimal detection of changepoints with a linear computational cost”, JASA
 *   107 (2012) 1590 (from memory).
 */
export function changePoints(
  rows: readonly Float64Array[],
  { least, price }: { least: number; price: number },
): number[] {
  const length = rows[0]?.length ?? 0
  const cost = costOf(rows)
  const best = new Float64Array(length + 1).fill(Infinity)
  const from = new Int32Array(length + 1)
  best[0] = -price
  let candidates = [0]
  for (let end = least; end <= length; end++) {
    if (end - least > 0 && Number.isFinite(best[end - least]!)) candidates.push(end - least)
    for (const start of candidates) {
      const total = best[start]! + cost(start, end) + price
      if (total < best[end]!) {
        best[end] = total
        from[end] = start
      }
    }
    candidates = candidates.filter(start => best[start]! + cost(start, end) <= best[end]!)
  }
  const starts: number[] = []
  for (let end = length; end > 0; end = from[end]!) starts.unshift(from[end]!)
  return starts
}

/** Sum of squares about the mean over a stretch, all figures together, from running sums. */
function costOf(rows: readonly Float64Array[]): (start: number, end: number) => number {
  const sums = rows.map(row => {
    const plain = new Float64Array(row.length + 1)
    const squares = new Float64Array(row.length + 1)
    row.forEach((value, i) => {
      plain[i + 1] = plain[i]! + value
      squares[i + 1] = squares[i]! + value * value
    })
    return { plain, squares }
  })
  return (start, end) =>
    sums.reduce((total, { plain, squares }) => {
      const sum = plain[end]! - plain[start]!
      return total + squares[end]! - squares[start]! - (sum * sum) / (end - start)
    }, 0)
}
