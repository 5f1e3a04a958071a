/** Longest name a review keeps. */
const MOST_NAME = 400
const COPY_TAIL = ', copy'

/** A copy's name, cut where the original is as long as a name may be. */
export function copyName(name: string): string {
  return `${name.slice(0, MOST_NAME - COPY_TAIL.length)}${COPY_TAIL}`
}
