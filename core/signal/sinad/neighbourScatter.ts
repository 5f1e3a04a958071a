/** Median of |x − y| over the standard deviation of white noise, for two values of it: 0.6745·√2. */
const MEDIAN_DIFFERENCE = 0.954

/** Standard deviation of a row from the differences of neighbours, in its own unit: a few steps hardly move it. */
export function neighbourScatter(row: Float64Array): number {
  const changes = Float64Array.from({ length: row.length - 1 }, (_unused, k) =>
    Math.abs(row[k + 1]! - row[k]!),
  ).sort()
  return changes[changes.length >> 1]! / MEDIAN_DIFFERENCE
}
