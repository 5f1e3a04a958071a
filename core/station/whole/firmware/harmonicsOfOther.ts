import type { Context } from '../../../context'
import type { Band, Channel, PowerLevel, RadioSet } from '../../../review'
import { correctReading, type FoundLevel, isCorrected, isLevel, stepId } from '../../../step'
import { type Budget, budget, ratioContributions } from '../../../uncertainty'
import { harmonicOf, harmonicSlots } from '../../transmit/harmonics/harmonicSlots'
import { HARMONICS_ID } from '../../transmit/harmonics/plan'

/** One harmonic of two sets, or of one unit with two firmwares. */
export interface HarmonicChange {
  n: number
  carrierHz: number
  /** How much stronger than the other’s, dB, with what that leaves open. */
  strongerDb: number
  budget: Budget
}

/** Two channels are the same within this, Hz. */
const SAME_CHANNEL_HZ = 1

/** The other entries of the very same unit: same make, model and serial number. */
export function sameUnit(set: RadioSet, sets: readonly RadioSet[]): RadioSet[] {
  return sets.filter(
    ({ id, make, model, serial }) =>
      id !== set.id && serial !== '' && serial === set.serial && make === set.make && model === set.model,
  )
}

/** Harmonics that were read of both on one channel at one level, where neither hides in the noise. */
export function harmonicChanges(set: RadioSet, other: RadioSet, context: Context): HarmonicChange[] {
  return set.bands.flatMap(band =>
    band.channels.flatMap(channel => {
      const there = channelLike(channel, other)
      return there
        ? set.levels.flatMap(level =>
            changesAt({ set, band, channel, level }, { set: other, ...there, level }, context),
          )
        : []
    }),
  )
}

interface Place {
  set: RadioSet
  band: Band
  channel: Channel
  level: PowerLevel
}

function channelLike({ frequencyHz }: Channel, other: RadioSet): Pick<Place, 'band' | 'channel'> | null {
  for (const band of other.bands)
    for (const channel of band.channels)
      if (Math.abs(channel.frequencyHz - frequencyHz) <= SAME_CHANNEL_HZ) return { band, channel }
  return null
}

function changesAt(here: Place, there: Place, context: Context): HarmonicChange[] {
  return harmonicSlots(here.channel.frequencyHz).flatMap(slot => {
    const n = harmonicOf(slot)!
    const [own, other] = [here, there].map(place => levelAt(place, slot.id, context))
    if (n === 1 || !own || !other) return []
    const lines = ratioContributions(own.budget.contributions, other.budget.contributions)
    return [
      {
        n,
        carrierHz: here.channel.frequencyHz,
        strongerDb: own.value - other.value,
        budget: budget(lines, context.distributions),
      },
    ]
  })
}

function levelAt({ set, band, channel, level }: Place, slotId: string, context: Context): FoundLevel | null {
  const id = stepId(HARMONICS_ID, { band, channel, level })
  const reading = context.reading(set.id, id, slotId)
  const found = reading && isLevel(reading) && correctReading(reading, context, { emission: 'unwanted' })
  return found && isCorrected(found) && !found.isUpperBound ? found : null
}
