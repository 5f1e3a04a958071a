import type { Context } from '../../context'
import { correctReading, isCorrected, isLevel, type Step, stepId } from '../../step'
import { HARMONICS_ID } from './harmonics/plan'
import { HIGHEST_HARMONIC, harmonicId } from './harmonics/harmonicSlots'

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
  const levels: { n: number; levelDbm: number; doubtDb: number }[] = []
  for (let n = 1; n <= HIGHEST_HARMONIC; n++) {
    const reading = readings.get(harmonicId(n))
    const emission = n === 1 ? 'carrier' : 'unwanted'
    const found = reading && isLevel(reading) && correctReading(reading, context, { emission })
    if (found && isCorrected(found))
      levels.push({ n, levelDbm: found.value, doubtDb: found.budget.standardUncertainty })
  }
  const firstDbm = levels.find(({ n }) => n === 1)?.levelDbm ?? carrierDbm
  return {
    read: levels
      .filter(({ n }) => n > 1)
      .map(({ n, levelDbm, doubtDb }) => ({ n, downDb: firstDbm - levelDbm, doubtDb })),
  }
}
