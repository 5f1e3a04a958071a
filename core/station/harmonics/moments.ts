import { printMhz } from '../../quantity'
import type { Slot, Step } from '../contract'
import type { StationContext } from '../stationContext'

/**
 * When a reading was taken: settled (the plain slots), in the first seconds of a key-down, or with the radio
 * unkeyed.
 */
export const MOMENTS = ['settled', 'key-up', 'ambient'] as const

export type Moment = (typeof MOMENTS)[number]

export const MOMENT_TITLES: Record<Moment, string> = {
  settled: 'Settled',
  'key-up': 'At key-up',
  ambient: 'Ambient',
}

const AT = /^(x\d+|s\d+):(key-up|ambient)$/

/** The slot of another moment for a harmonic or spur. */
export function slotAt(slot: Slot, moment: Moment): Slot {
  const plain = { ...slot, id: slot.id.replace(AT, '$1') }
  return moment === 'settled'
    ? plain
    : {
        ...plain,
        id: `${plain.id}:${moment}`,
        label: `${plain.label} ${moment === 'key-up' ? 'at key-up' : 'ambient'}`,
        optional: true,
      }
}

/** The slot of a spur that is no harmonic. */
export function spurSlot(frequencyHz: number): Slot {
  const hz = Math.round(frequencyHz)
  return { id: `s${hz}`, label: `spur ${printMhz(hz)}`, frequencyHz: hz, measures: 'level', optional: true }
}

/** n of n·f; null for a spur. */
export function harmonicOf(slotId: string): number | null {
  const found = /^x(\d+)/.exec(slotId)
  return found ? Number(found[1]) : null
}

/** The moment a slot speaks of. */
export function momentOfSlot(slotId: string): Moment {
  return (AT.exec(slotId)?.[2] as Moment | undefined) ?? 'settled'
}

/** The slot of the ambient sweep that belongs to a harmonic or spur. */
export function ambientSlotId(slot: Slot): string {
  return `${slot.id.replace(AT, '$1')}:ambient`
}

/** Where a verdict hangs on the first seconds, it says so. */
export function momentWords(slot: Slot): string {
  return momentOfSlot(slot.id) === 'key-up' ? ' at key-up' : ''
}

/**
 * Slots of a step beyond the planned ones that something was read in and that are judged: spurs, and
 * harmonics at key-up.
 */
export function moreSlots(step: Step, context: StationContext): Slot[] {
  const readings = context.readingsOf(step)
  if (
    readings.size <= step.slots.length &&
    ![...readings.keys()].some(id => id.startsWith('s') || id.includes(':'))
  )
    return []
  const planned = new Map(step.slots.map(slot => [slot.id, slot]))
  return [...readings.values()]
    .flatMap((reading): Slot[] => {
      if (planned.has(reading.slot) || momentOfSlot(reading.slot) === 'ambient') return []
      const plain = reading.slot.replace(AT, '$1')
      const base = planned.get(plain) ?? (/^s\d+$/.test(plain) ? spurSlot(Number(plain.slice(1))) : null)
      return base ? [slotAt(base, momentOfSlot(reading.slot))] : []
    })
    .sort((a, b) => a.frequencyHz - b.frequencyHz || a.id.localeCompare(b.id))
}
