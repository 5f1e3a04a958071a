import type { Review } from './types'
import type { Reading } from './readingTypes'

/** Readings of one step that stand, by slot. */
export type StepReadings = ReadonlyMap<string, Reading>

/**
 * Readings that stand: the latest of each slot, by step and then by slot. Readings are append-only, so the
 * last wins.
 */
export type CurrentReadings = ReadonlyMap<string, StepReadings>

/** Key of a step in `CurrentReadings`. */
export function stepKey(setId: string, stepId: string): string {
  return `${setId}|${stepId}`
}

/**
 * The readings that stand.
 * @param before - what stood for an earlier list: where the new one only goes on from it, steps that are the
 *   same keep the very same map, so that whoever hangs on a step can see that nothing of it changed.
 * @remarks O(n) of the new readings where the list goes on, else O(n).
 */
export function currentReadings(
  readings: readonly Reading[],
  before?: { readings: readonly Reading[]; current: CurrentReadings },
): CurrentReadings {
  const goesOn = before !== undefined && startsWith(readings, before.readings)
  const current = new Map(goesOn ? before.current : [])
  const fresh = new Map<string, Map<string, Reading>>()
  for (let i = goesOn ? before.readings.length : 0; i < readings.length; i++) {
    const reading = readings[i]!
    const key = stepKey(reading.setId, reading.stepId)
    let slots = fresh.get(key)
    if (!slots) {
      fresh.set(key, (slots = new Map(current.get(key))))
      current.set(key, slots)
    }
    slots.set(reading.slot, reading)
  }
  if (before && !goesOn) keepSame(current, before.current)
  return current
}

function startsWith(readings: readonly Reading[], start: readonly Reading[]): boolean {
  if (start.length > readings.length) return false
  for (let i = 0; i < start.length; i++) if (readings[i] !== start[i]) return false
  return true
}

/** Steps whose readings are the very same take the map they had. */
function keepSame(current: Map<string, StepReadings>, before: CurrentReadings): void {
  for (const [key, slots] of current) {
    const known = before.get(key)
    if (known && isSame(slots, known)) current.set(key, known)
  }
}

function isSame(a: StepReadings, b: StepReadings): boolean {
  if (a.size !== b.size) return false
  for (const [slot, reading] of a) if (b.get(slot) !== reading) return false
  return true
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
