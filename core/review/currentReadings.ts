import type { Reading, Review } from './types'

/** Readings that stand: the latest of each slot, by step and then by slot. Readings are append-only, so the last wins. */
export type CurrentReadings = ReadonlyMap<string, ReadonlyMap<string, Reading>>

/** Key of a step in `CurrentReadings`. */
export function stepKey(setId: string, stepId: string): string {
  return `${setId}|${stepId}`
}

/** The readings that stand. O(n). */
export function currentReadings(review: Pick<Review, 'readings'>): CurrentReadings {
  const current = new Map<string, Map<string, Reading>>()
  for (const reading of review.readings) {
    const key = stepKey(reading.setId, reading.stepId)
    let slots = current.get(key)
    if (!slots) current.set(key, slots = new Map())
    slots.set(reading.slot, reading)
  }
  return current
}

/** All readings of a slot, oldest first: what stands is the last. */
export function readingHistory(review: Pick<Review, 'readings'>, slot: { setId: string; stepId: string; slot: string }): Reading[] {
  return review.readings.filter(reading => reading.setId === slot.setId && reading.stepId === slot.stepId && reading.slot === slot.slot)
}
