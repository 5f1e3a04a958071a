// How a line of the bench is printed.

export const middle = values => [...values].sort((a, b) => a - b)[values.length >> 1]

/** Ours beside a named reference of the same run. */
export const line = (what, ours, reference, theirs) =>
  console.log(
    `${what.padEnd(58)} ${ours.toFixed(1).padStart(8)} ms   ${(ours / theirs).toFixed(2).padStart(6)} × ${reference} (${theirs.toFixed(1)} ms)`,
  )
