import type { PastFigure, PastRadio } from './figures'

/** A radio among others by one figure. */
export interface Ranked {
  radio: PastRadio
  figure: PastFigure
  /** Places it may have, from one on: as far as the ranges allow. */
  place: [best: number, worst: number]
}

/** Radios by a figure, the best first. @param key - of the figure. @param best - which end is best. */
export function rankedBy(radios: readonly PastRadio[], key: string, best: 'highest' | 'lowest'): Ranked[] {
  const sign = best === 'highest' ? 1 : -1
  const members = radios.flatMap(radio =>
    radio.figures.filter(figure => figure.key === key).map(figure => ({ radio, figure })),
  )
  return members
    .map(one => ({
      ...one,
      place: [
        1 + members.filter(other => other !== one && isSurelyAbove(other.figure, one.figure, sign)).length,
        members.length -
          members.filter(other => other !== one && isSurelyAbove(one.figure, other.figure, sign)).length,
      ] as [number, number],
    }))
    .toSorted((a, b) => sign * (b.figure.value - a.figure.value))
}

/**
 * Whether the one is above the other although both are only known within their ranges: by the range of the
 * difference of two independent figures.
 */
function isSurelyAbove(a: PastFigure, b: PastFigure, sign: number): boolean {
  // What is only known to lie below something may lie anywhere below it.
  if (sign > 0 ? a.isUpperBound : b.isUpperBound) return false
  return sign * (a.value - b.value) > Math.hypot(a.range, b.range)
}

/** A place in words: `2nd`, `2nd to 5th`. */
export function placeText([best, worst]: Ranked['place']): string {
  return best === worst ? ordinal(best) : `${ordinal(best)} to ${ordinal(worst)}`
}

function ordinal(n: number): string {
  const tens = n % 100
  const ends = tens >= 11 && tens <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th')
  return `${n}${ends}`
}
