import type { Context } from '../../context'
import { type Found, slotOf, type Step } from '../../step'
import { evaluateSensitivity } from './sensitivity/evaluate'
import { planSensitivity } from './sensitivity/plan'
import { tunedOf } from './sensitivity/points'

/** A receiver at a channel and spacing. */
export type HeardPlace = Pick<Step, 'set' | 'band' | 'channel'>

/** Where the same receiver was read for its sensitivity. */
function sensitivityStep(step: HeardPlace, context: Context): Step | null {
  const steps = planSensitivity(step.set, context).filter(
    ({ band, channel }) => band.id === step.band.id && channel.id === step.channel.id,
  )
  const spacingHz = step.band.channelSpacingHz
  return steps.find(({ band }) => band.channelSpacingHz === spacingHz) ?? steps[0] ?? null
}

/** The level of the first mark, 12 dB SINAD in FM, as the sensitivity station found it; null before it is. */
export function twelveDecibelLevel(step: Step, context: Context): Found | null {
  const at = sensitivityStep(step, context)
  if (!at) return null
  const result = evaluateSensitivity(at, context)
  const first = result.slots.find(({ slot }) => slot.kind.is === 'criterion')
  return (first && slotOf(result, first.slot.id)?.found) ?? null
}

/** Frequency the generator belongs on at a place, Hz: the channel’s, or where the receiver hears best. */
export function tunedHzAt(step: HeardPlace, context: Context): number {
  const at = sensitivityStep(step, context)
  return at ? tunedOf(at, context).tunedHz : step.channel.frequencyHz
}
