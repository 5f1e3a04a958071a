import { spacingOf } from '../../../band'
import type { Context } from '../../../context'
import { levelIn } from '../../../judging'
import type { Slot, Step } from '../../../step'
import { type InterfererRatio, interfererRatio } from '../interfererRatio'
import { twelveDecibelLevel } from '../twelveDecibelLevel'

/** Wanted signal above its 12 dB level, dB. */
const ABOVE_DB = 3

/** A strong signal against the 12 dB level, at one offset. */
export interface StrongRatio extends InterfererRatio {
  slot: Slot
  offsetHz: number
}

/** The ratio of a slot; null before it is read, or where it cannot be worked out. */
export function strongRatio(step: Step, slot: Slot, context: Context): StrongRatio | null {
  const reading = levelIn(step, slot, context)
  if (!reading) return null
  const wantedHz = slot.applied?.[0]?.frequencyHz ?? step.channel.frequencyHz
  const offsetHz = slot.frequencyHz - wantedHz
  const ratio = interfererRatio(
    step,
    {
      reading,
      offsetHz,
      spacingHz: spacingOf(step.band),
      aboveDb: ABOVE_DB,
      countsFrom: 'reference',
      twelve: twelveDecibelLevel(step, context),
      slopeDbPerHz: 0,
    },
    context,
  )
  return ratio && { ...ratio, slot, offsetHz }
}

/** Blocking at every offset that was read. */
export function blockingRatios(step: Step, context: Context): StrongRatio[] {
  return step.slots
    .filter(({ kind }) => kind.is === 'block')
    .flatMap(slot => strongRatio(step, slot, context) ?? [])
}

/** The least of them: a figure that is certain goes before one the generator’s noise ended. */
export function leastOf(ratios: readonly StrongRatio[]): StrongRatio | null {
  return ratios.length === 0 ? null : ratios.reduce((a, b) => (b.found.value < a.found.value ? b : a))
}
