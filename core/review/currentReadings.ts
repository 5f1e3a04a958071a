import { kept } from '../derive'
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

/** Readings, with what stands of them. */
export interface Standing {
  readings: readonly Reading[]
  current: CurrentReadings
}

/** What two lists have in common: how many readings at their start, and how many there and at their end. */
interface Common {
  start: number
  same: number
}

/**
 * What stands of a list of readings, and after it what it was worked out from: a figure being typed stands at the
 * end of a list of its own, beside the list it goes on from.
 * @param known - what stood before, the latest first.
 * @returns one or two, that of `readings` first.
 */
export function nextStanding(
  readings: readonly Reading[],
  known: readonly Standing[],
): [Standing, ...Standing[]] {
  const same = known.find(one => one.readings === readings)
  if (same) return [same, ...known.filter(one => one !== same)]
  const nearest = known
    .map(before => ({ before, common: inCommon(readings, before.readings) }))
    .sort((a, b) => b.common.same - a.common.same || Number(goesOn(b)) - Number(goesOn(a)))[0]
  if (!nearest) return [{ readings, current: standingAmong(readings) }]
  const { before, common } = nearest
  return [{ readings, current: workedOutFrom(before, readings, common) }, before]
}

/** Whether a list has all of the one before it at its start. */
const goesOn = ({ before, common }: { before: Standing; common: Common }): boolean =>
  common.start === before.readings.length

/**
 * The readings that stand.
 * @param before - what stood for another list: steps that are the same in both keep the very same map, so that
 *   whoever hangs on a step can see that nothing of it changed.
 */
export function currentReadings(readings: readonly Reading[], before?: Standing): CurrentReadings {
  return before
    ? workedOutFrom(before, readings, inCommon(readings, before.readings))
    : standingAmong(readings)
}

/**
 * Where a list goes on from the other only what is new is looked at; where the two differ in one stretch only the
 * steps that have a reading in it are gone through again.
 */
function workedOutFrom(before: Standing, readings: readonly Reading[], common: Common): CurrentReadings {
  const known = before.readings
  const { start, same } = common
  if (goesOn({ before, common })) return goneOn(before.current, readings.slice(start))
  // Gone through from nothing where most of it is other: it would be looked at twice.
  if (2 * same < known.length) return withKnown(standingAmong(readings), before.current)
  const touched = new Map<string, Set<string>>()
  touch(touched, known, { from: start, to: known.length - (same - start) })
  touch(touched, readings, { from: start, to: readings.length - (same - start) })
  const current = new Map(before.current)
  for (const [setId, steps] of touched) for (const stepId of steps) current.delete(stepKey(setId, stepId))
  const own = readings.filter(({ setId, stepId }) => touched.get(setId)?.has(stepId) ?? false)
  for (const [key, slots] of withKnown(standingAmong(own), before.current)) current.set(key, slots)
  return current
}

/** What stands once a list goes on. O(its new readings), but for the copy of the map of steps. */
function goneOn(before: CurrentReadings, fresh: readonly Reading[]): CurrentReadings {
  const current = new Map(before)
  const own = new Map<string, Map<string, Reading>>()
  for (const reading of fresh) {
    const key = stepKey(reading.setId, reading.stepId)
    kept(own, key, () => new Map(before.get(key))).set(reading.slot, reading)
  }
  for (const [key, slots] of own) current.set(key, slots)
  return current
}

/** From nothing. O(n). */
function standingAmong(readings: readonly Reading[]): Map<string, StepReadings> {
  const current = new Map<string, Map<string, Reading>>()
  for (const reading of readings)
    kept(current, stepKey(reading.setId, reading.stepId), () => new Map()).set(reading.slot, reading)
  return current
}

/** O(n), a comparison by identity each. */
function inCommon(one: readonly Reading[], other: readonly Reading[]): Common {
  const most = Math.min(one.length, other.length)
  let start = 0
  while (start < most && one[start] === other[start]) start++
  let end = 0
  while (start + end < most && one[one.length - 1 - end] === other[other.length - 1 - end]) end++
  return { start, same: start + end }
}

/** Notes the steps of a stretch of readings, by set. */
function touch(
  touched: Map<string, Set<string>>,
  readings: readonly Reading[],
  { from, to }: { from: number; to: number },
): void {
  for (let i = from; i < to; i++) {
    const { setId, stepId } = readings[i]!
    kept(touched, setId, () => new Set()).add(stepId)
  }
}

/** Steps whose readings are the very same take the map they had. */
function withKnown(current: Map<string, StepReadings>, before: CurrentReadings): Map<string, StepReadings> {
  for (const [key, slots] of current) {
    const known = before.get(key)
    if (known && isSame(slots, known)) current.set(key, known)
  }
  return current
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
