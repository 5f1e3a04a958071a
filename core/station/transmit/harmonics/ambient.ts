import type { Context } from '../../../context'
import { printDb } from '../../../quantity'
import type { Reading } from '../../../review'
import { correctReading, type FoundLevel, isCorrected, isLevel } from '../../../step'
import { momentOfId } from './harmonicSlots'

const ABOVE_AMBIENT_DB = 3
const WELL_ABOVE_AMBIENT_DB = 10

/** True where something was read with the radio unkeyed. */
export function anyAmbient(slotIds: readonly string[]): boolean {
  return slotIds.some(id => momentOfId(id) === 'ambient')
}

/**
 * What the ambient sweep showed at the same place: a reading that hardly stands above it is only an upper
 * bound.
 * @param ambient - what was read there with the radio unkeyed, if anything.
 */
export function besideAmbient(
  found: FoundLevel,
  ambient: Reading | undefined,
  context: Context,
): { found: FoundLevel; notes: string[] } {
  const unkeyed = ambient && isLevel(ambient) && correctReading(ambient, context)
  if (!unkeyed || !isCorrected(unkeyed)) return { found, notes: [] }
  const aboveDb = found.path.atInstrumentDbm - unkeyed.path.atInstrumentDbm
  if (aboveDb >= WELL_ABOVE_AMBIENT_DB)
    return {
      found,
      notes: [`With the radio unkeyed it was ${printDb(aboveDb, 0)} lower: this is the radio’s own.`],
    }
  if (aboveDb >= ABOVE_AMBIENT_DB)
    return {
      found,
      notes: [`With the radio unkeyed it was only ${printDb(aboveDb)} lower: part of it is not the radio’s.`],
    }
  const side = aboveDb < 0 ? 'higher' : 'lower'
  return {
    found: { ...found, isUpperBound: true },
    notes: [
      `With the radio unkeyed it was ${printDb(Math.abs(aboveDb))} ${side}: it was there anyway, so the radio’s own is at most this.`,
    ],
  }
}
