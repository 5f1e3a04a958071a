/** A carrier this far below its claim, or this far above, raises a question (common practice, no source). */
const BELOW_DB = 6
const ABOVE_DB = 3

/** True for a carrier so far from its claim that something else is likelier than a bad radio. */
export function isAbsurd(apartDb: number): boolean {
  return apartDb <= -BELOW_DB || apartDb >= ABOVE_DB
}
