import type { Context } from '../../context'
import { correctReading, isCorrected, isLevel, type Step, stepId } from '../../step'
import { HARMONICS_ID } from './harmonics/plan'
import { harmonicOf, harmonicSlots } from './harmonics/harmonicSlots'

/** The harmonics of a carrier that were read at its channel and level, each so far below it. */
export interface HarmonicContent {
  /** `doubtDb`: standard uncertainty of the level it was read at, dB. */
  read: { n: number; downDb: number; doubtDb: number }[]
}

/**
 * What was read of the harmonics of a carrier, dB under it: under the ×1 line of the same step where that was read,
 * else under the power that was. An upper bound counts as the most it may be.
 */
export function harmonicContent(step: Step, carrierDbm: number, context: Context): HarmonicContent {
  const { band, channel, setting } = step
  const id = stepId(HARMONICS_ID, { band, channel, level: setting.level })
  const readings = context.readingsOf({ set: step.set, id })
  if (readings.size === 0) return { read: [] }
  const levels = harmonicSlots(channel.frequencyHz).flatMap(slot => {
    const n = harmonicOf(slot)!
    const reading = readings.get(slot.id)
    const emission = n === 1 ? 'carrier' : 'unwanted'
    const found = reading && isLevel(reading) && correctReading(reading, context, { emission })
    return found && isCorrected(found)
      ? [{ n, levelDbm: found.value, doubtDb: found.budget.standardUncertainty }]
      : []
  })
  const firstDbm = levels.find(({ n }) => n === 1)?.levelDbm ?? carrierDbm
  return {
    read: levels.flatMap(({ n, levelDbm, doubtDb }) =>
      n > 1 ? [{ n, downDb: firstDbm - levelDbm, doubtDb }] : [],
    ),
  }
}
