import { entryOf } from '../cache'
import type { Reading } from './readingTypes'
import type { Review } from './types'

/** Readings of one step that stand, by slot. */
export type StepReadings = ReadonlyMap<string, Reading>

/** Key of a step of a radio, where a review names steps of all radios. */
export function stepKey(setId: string, stepId: string): string {
  return `${setId}|${stepId}`
}

/**
 * Returns the readings that stand, the latest of each slot, by step. Readings are append-only: the last wins.
 * @param readings - those of one radio.
 */
export function standingReadings(readings: readonly Reading[]): ReadonlyMap<string, StepReadings> {
  const standing = new Map<string, Map<string, Reading>>()
  for (const reading of readings)
    entryOf(standing, reading.stepId, () => new Map()).set(reading.slot, reading)
  return standing
}

/** A reading of a step among all that were taken there. */
export interface TakenReading {
  reading: Reading
  /** No later one was taken for its slot. */
  stands: boolean
  /** Its time is before that of one taken earlier: the clock was set back. */
  clockWentBack: boolean
}

/** All that was taken in a step, in the order it was taken, whatever the clock said. O(readings). */
export function stepHistory(
  { readings }: Pick<Review, 'readings'>,
  { setId, stepId }: { setId: string; stepId: string },
): TakenReading[] {
  const taken = readings.filter(reading => reading.setId === setId && reading.stepId === stepId)
  const last = new Map(taken.map(reading => [reading.slot, reading]))
  let latest = ''
  return taken.map(reading => {
    const clockWentBack = reading.at < latest
    if (!clockWentBack) latest = reading.at
    return { reading, stands: last.get(reading.slot) === reading, clockWentBack }
  })
}
