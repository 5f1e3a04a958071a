/** Longest name and longest title a review keeps. */
const MOST_NAME = 400

/** A name with something said behind it, cut where it would be longer than a name may be. */
export function nameWith(name: string, tail: string): string {
  return `${name.slice(0, MOST_NAME - tail.length)}${tail}`
}

/** A copy's name. */
export const copyName = (name: string): string => nameWith(name, ', copy')
