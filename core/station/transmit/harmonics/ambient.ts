import type { Context } from '../../../context'
import { levelIn } from '../../../judging'
import { printDb } from '../../../quantity'
import { correctReading, type FoundLevel, isCorrected, type Slot, type Step } from '../../../step'
import { slotAt } from './harmonicSlots'

const ABOVE_AMBIENT_DB = 3
const WELL_ABOVE_AMBIENT_DB = 10

/**
 * What the ambient sweep showed at the same place: a reading that hardly stands above it is only an upper
 * bound.
 */
export function besideAmbient(
  step: Step,
  slot: Slot,
  found: FoundLevel,
  context: Context,
): { found: FoundLevel; notes: string[] } {
  const ambient = levelIn(step, slotAt(slot, 'ambient'), context)
  const unkeyed = ambient && correctReading(ambient, context)
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
