import type { FigureReading, Reading, Review, Taken } from './types'

/**
 * Readings that stand: the latest of each slot, by step and then by slot. Readings are append-only, so the
 * last wins.
 */
export type CurrentReadings = ReadonlyMap<string, ReadonlyMap<string, Reading>>

/** Figures that stand, in the same way. */
export type CurrentFigures = ReadonlyMap<string, ReadonlyMap<string, FigureReading>>

/** Key of a step in `CurrentReadings`. */
export function stepKey(setId: string, stepId: string): string {
  return `${setId}|${stepId}`
}

/** The readings that stand. O(n). */
export function currentReadings(review: Pick<Review, 'readings'>): CurrentReadings {
  return standing(review.readings)
}

/** The figures that stand. O(n). */
export function currentFigures(review: Pick<Review, 'figures'>): CurrentFigures {
  return standing(review.figures)
}

function standing<T extends Taken>(taken: readonly T[]): Map<string, Map<string, T>> {
  const current = new Map<string, Map<string, T>>()
  for (const reading of taken) {
    const key = stepKey(reading.setId, reading.stepId)
    let slots = current.get(key)
    if (!slots) current.set(key, (slots = new Map()))
    slots.set(reading.slot, reading)
  }
  return current
}

/** All that was taken for a slot, oldest first: what stands is the last. */
export function readingHistory(
  review: Pick<Review, 'readings' | 'figures'>,
  slot: { setId: string; stepId: string; slot: string },
): (Reading | FigureReading)[] {
  const own = (taken: Taken) =>
    taken.setId === slot.setId && taken.stepId === slot.stepId && taken.slot === slot.slot
  return [...review.readings.filter(own), ...review.figures.filter(own)].sort((a, b) =>
    a.at.localeCompare(b.at),
  )
}
