import { printMhz } from '../../../quantity'
import type { StepReadings } from '../../../review'
import { INSTRUMENT_ROLE, type Slot, type SlotResult, type Step } from '../../../step'

/** Up to the 10th harmonic (47 CFR 2.1057(a), from memory). */
export const HIGHEST_HARMONIC = 10

/**
 * When a reading was taken: settled (the plain slots), in the first seconds of a key-down, or with the radio
 * unkeyed.
 */
export const MOMENTS = ['settled', 'key-up', 'ambient'] as const
/** When a harmonic was read. */
export type Moment = (typeof MOMENTS)[number]

/** Moments as tables head them. */
export const MOMENT_TITLES: Record<Moment, string> = {
  settled: 'Settled',
  'key-up': 'At key-up',
  ambient: 'Ambient',
}

/** What a moment means, for the screen. */
export const MOMENT_WORDS: Record<Moment, string> = {
  settled: 'After a few seconds of key-down.',
  'key-up': 'The first sweep after keying: some sets are worse then, and the verdict says so.',
  ambient: 'Radio unkeyed: what is there anyway does not count as the radio’s.',
}

const MOMENT_TAILS: Record<Moment, string> = { settled: '', 'key-up': 'at key-up', ambient: 'ambient' }

/** The settled slot of n·f. */
export const harmonicId = (n: number): string => HARMONIC_IDS[n - 1]!

const HARMONIC_IDS = Array.from({ length: HIGHEST_HARMONIC }, (_unused, index) => `x${index + 1}`)

/** ×1 to ×10 of a carrier: 146.52 MHz gives 293.04, 439.56, 586.08 … */
export function harmonicSlots(carrierHz: number): Slot[] {
  return Array.from({ length: HIGHEST_HARMONIC }, (_unused, index) => {
    const n = index + 1
    return {
      id: harmonicId(n),
      kind: { is: 'harmonic', n, moment: 'settled' },
      label: `×${n}`,
      frequencyHz: carrierHz * n,
      field: { as: 'level' },
      role: INSTRUMENT_ROLE,
    }
  })
}

/** The slot of a spur that is no harmonic. */
export function spurSlot(frequencyHz: number): Slot {
  const hz = Math.round(frequencyHz)
  return {
    id: `s${hz}`,
    kind: { is: 'spur', n: null, moment: 'settled' },
    label: `spur ${printMhz(hz)}`,
    frequencyHz: hz,
    field: { as: 'level' },
    role: INSTRUMENT_ROLE,
    optional: true,
  }
}

/** The slot of another moment for a settled harmonic or spur. */
export function slotAt(settled: Slot, moment: Moment): Slot {
  if (moment === 'settled') return settled
  return {
    ...settled,
    id: `${settled.id}:${moment}`,
    kind: { ...settled.kind, moment },
    label: `${settled.label} ${MOMENT_TAILS[moment]}`,
    optional: true,
  }
}

/** n of n·f; null for a spur. */
export function harmonicOf({ kind }: Pick<Slot, 'kind'>): number | null {
  return typeof kind.n === 'number' ? kind.n : null
}

/** The moment a slot speaks of. */
export function momentOf({ kind }: Pick<Slot, 'kind'>): Moment {
  return MOMENTS.find(moment => moment === kind.moment) ?? 'settled'
}

/** True for the carrier among its harmonics. */
export function isFirstLine(slot: Pick<Slot, 'kind'>): boolean {
  return harmonicOf(slot) === 1
}

/** Where a verdict hangs on the first seconds, it says so. */
export function momentWords(slot: Slot): string {
  return momentOf(slot) === 'key-up' ? ` ${MOMENT_TAILS['key-up']}` : ''
}

/** The moment a slot’s id was stored for; null for one this station does not know. */
export function momentOfId(id: string): Moment | null {
  const [, moment = 'settled'] = id.split(':')
  return MOMENTS.find(one => one === moment) ?? null
}

/** The slot an id was stored under, whatever the moment; null for one this station does not know. */
function slotFrom(id: string, settledSlots: readonly Slot[]): Slot | null {
  const [plain = ''] = id.split(':')
  const known = momentOfId(id)
  const settled = settledSlots.find(slot => slot.id === plain) ?? spurFrom(plain)
  return known && settled ? slotAt(settled, known) : null
}

function spurFrom(id: string): Slot | null {
  const hz = id.startsWith('s') ? Number(id.slice(1)) : Number.NaN
  return Number.isInteger(hz) && hz > 0 ? spurSlot(hz) : null
}

const NO_OTHERS: readonly string[] = []

/** Ids of what was read in a step beyond its planned slots. */
export function otherIds(step: Step, readings: StepReadings): readonly string[] {
  let planned = 0
  for (let i = 0; i < step.slots.length; i++) if (readings.has(step.slots[i]!.id)) planned++
  if (planned === readings.size) return NO_OTHERS
  return [...readings.keys()].filter(id => !step.slots.some(slot => slot.id === id))
}

/**
 * Slots of a step beyond the planned ones that something was read in and that are judged: spurs, and
 * harmonics at key-up.
 * @param others - ids of what was read beyond the planned slots.
 */
export function moreSlots(step: Step, others: readonly string[]): Slot[] {
  return others
    .flatMap(id => slotFrom(id, step.slots) ?? [])
    .filter(slot => momentOf(slot) !== 'ambient')
    .sort((a, b) => a.frequencyHz - b.frequencyHz || a.id.localeCompare(b.id))
}

/** The results of a step at one moment; ambient readings are shown, not judged. */
export function resultsAt(
  moment: Moment,
  known: { step: Step; slots: readonly SlotResult[]; unkeyed: (slot: Slot) => SlotResult },
): SlotResult[] {
  const settled = known.slots.filter(({ slot }) => momentOf(slot) === 'settled')
  if (moment === 'settled') return settled
  return settled
    .filter(({ slot }) => !isFirstLine(slot))
    .map(({ slot: plain }) => {
      const slot = slotAt(plain, moment)
      return known.slots.find(other => other.slot.id === slot.id) ?? known.unkeyed(slot)
    })
}
