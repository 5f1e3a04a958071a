import { spacingOf } from '../../../band'
import type { Context } from '../../../context'
import { levelIn } from '../../../judging'
import { correctApplied, isCorrected, type Slot, type Step } from '../../../step'
import { type InterfererRatio, interfererRatio } from '../interfererRatio'
import { GENERATOR } from '../paths'
import { twelveDecibelLevel } from '../twelveDecibelLevel'
import { type School, SCHOOLS, type Side, TIA_ABOVE_DB } from './plan'

/**
 * How steeply a channel filter falls at the neighbour, dB per Hz: 100 Hz move the figure by a decibel or so
 * (receivers.md, section 5; the figure is assumed).
 */
const FILTER_SLOPE_DB_PER_HZ = { narrow: 0.01, wide: 0.005 } as const

/** The rejection of one side by one school. */
export interface SideRejection extends InterfererRatio {
  side: Side
  slot: Slot
}

/** The rejection of a slot; null before it is read, or where it cannot be worked out. */
export function rejectionOf(step: Step, slot: Slot, context: Context): SideRejection | null {
  const reading = levelIn(step, slot, context)
  if (!reading) return null
  const school = (slot.kind.school ?? 'tia') as School
  const spacingHz = spacingOf(step.band)
  const twelve = twelveDecibelLevel(step, context)
  const wanted = correctApplied(reading, GENERATOR, context)
  const wantedDbm = wanted && isCorrected(wanted) ? wanted.value : null
  const isTia = SCHOOLS[school].method === 'tia-603'
  const aboveDb =
    isTia || !twelve || wantedDbm === null ? TIA_ABOVE_DB : Math.max(1, wantedDbm - twelve.value)
  const ratio = interfererRatio(
    step,
    {
      reading,
      offsetHz: spacingHz,
      spacingHz,
      aboveDb,
      countsFrom: isTia ? 'reference' : 'wanted',
      twelve,
      slopeDbPerHz: spacingHz <= 12_500 ? FILTER_SLOPE_DB_PER_HZ.narrow : FILTER_SLOPE_DB_PER_HZ.wide,
    },
    context,
  )
  return ratio && { ...ratio, side: slot.kind.side as Side, slot }
}

/** What was read of a school, side by side. */
export function rejectionsOf(step: Step, school: School, context: Context): SideRejection[] {
  return step.slots
    .filter(({ kind }) => kind.is === 'interferer' && kind.school === school)
    .flatMap(slot => rejectionOf(step, slot, context) ?? [])
}

/** The side that counts: the lower. */
export function lowerOf(sides: readonly SideRejection[]): SideRejection | null {
  return sides.length === 0 ? null : sides.reduce((a, b) => (b.found.value < a.found.value ? b : a))
}
