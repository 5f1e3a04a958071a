import type { Reading, Review } from './types'

/** Readings that stand: the latest of each slot, by `setId|stepId|slot`. Readings are append-only, so the last wins. */
export type CurrentReadings = ReadonlyMap<string, Reading>

/** Key of a slot in `CurrentReadings`. */
export function slotKey(setId: string, stepId: string, slot: string): string {
  return `${setId}|${stepId}|${slot}`
}

/** The readings that stand. O(n). */
export function currentReadings(review: Pick<Review, 'readings'>): CurrentReadings {
  const current = new Map<string, Reading>()
  for (const reading of review.readings) current.set(slotKey(reading.setId, reading.stepId, reading.slot), reading)
  return current
}

/** All readings of a slot, oldest first: what stands is the last. */
export function readingHistory(review: Pick<Review, 'readings'>, slot: { setId: string; stepId: string; slot: string }): Reading[] {
  return review.readings.filter(reading => reading.setId === slot.setId && reading.stepId === slot.stepId && reading.slot === slot.slot)
}
