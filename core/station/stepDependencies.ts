import type { Step } from './contract'
import { correctReading } from './correctReading'
import type { StationContext } from './stationContext'

/**
 * Everything the result of a step depends on, besides the step itself: while each is the very same object,
 * the result is too.
 * The set and its claims are in the step; a reading stands for its chain, instrument and calibrations once it
 * is corrected.
 */
export function stepDependencies(step: Step, context: StationContext): unknown[] {
  const chain = context.chain(step.chainId)
  const of: unknown[] = [
    context.review.settings,
    context.skipReason(step),
    context.yardstick,
    chain,
    chain && context.instrument(chain.instrumentId),
    ...context.rulebooksOf(step.band),
  ]
  for (const slot of step.slots) {
    const reading = context.reading(step.set.id, step.id, slot.id)
    of.push(
      reading,
      reading ? correctReading(reading, context) : context.figure(step.set.id, step.id, slot.id),
    )
  }
  return of
}
