import Joi from 'joi'
import type { Context } from '../../../context'

/** Identity of the station, as readings are stored under it. */
export const BATTERY_ID = 'battery'

/** Shares of the time, %: keyed, and receiving with audio; the rest it waits. */
export interface BatteryDuty {
  transmitPercent: number
  audioPercent: number
}

/** What the station keeps for the whole review: the reviewer’s own duty, and how well the ammeter reads. */
export interface BatteryMemo {
  duty: BatteryDuty | null
  /** ± % of the reading; null: nobody said. */
  ammeterPercent: number | null
}

const percent = Joi.number().min(0).max(100)

/** What may be kept. */
export const batteryMemoSchema = Joi.object<BatteryMemo>({
  duty: Joi.object({ transmitPercent: percent.required(), audioPercent: percent.required() })
    .custom((duty: BatteryDuty, helpers) =>
      duty.transmitPercent + duty.audioPercent > 100
        ? helpers.message({ custom: 'the shares come to more than 100 %' })
        : duty,
    )
    .allow(null)
    .required(),
  ammeterPercent: Joi.number().min(0).max(50).allow(null).required(),
})

const NOTHING_SAID: BatteryMemo = Object.freeze({ duty: null, ammeterPercent: null })

/** What is kept for the review; nothing said where nothing is. */
export function batteryMemo(context: Context): BatteryMemo {
  const { error, value } = batteryMemoSchema.validate(context.memo(BATTERY_ID))
  return error || !value ? NOTHING_SAID : value
}

/** How well an ammeter reads where nobody says, ± % (common practice for a hand-held one, no source). */
const ASSUMED_AMMETER_PERCENT = 1.5

/** How well the ammeter reads, and whether somebody said so. */
export function ammeterOf(context: Context): { percent: number; assumed: boolean } {
  const { ammeterPercent } = batteryMemo(context)
  return { percent: ammeterPercent ?? ASSUMED_AMMETER_PERCENT, assumed: ammeterPercent === null }
}

/** A duty the life on a charge is worked out for. */
export interface NamedDuty extends BatteryDuty {
  id: string
  title: string
}

/** Duties makers count by: transmit, receive, wait (common practice, no source). */
export const USUAL_DUTIES: readonly NamedDuty[] = [
  { id: 'life-5-5-90', title: '5/5/90', transmitPercent: 5, audioPercent: 5 },
  { id: 'life-10-10-80', title: '10/10/80', transmitPercent: 10, audioPercent: 10 },
]

/** Slot of the reviewer’s own duty. */
export const OWN_DUTY_SLOT = 'life-own'

/** The usual duties, and the reviewer’s own where there is one. */
export function dutiesOf(context: Context): NamedDuty[] {
  const { duty } = batteryMemo(context)
  if (!duty) return [...USUAL_DUTIES]
  const waits = 100 - duty.transmitPercent - duty.audioPercent
  return [
    ...USUAL_DUTIES,
    {
      id: OWN_DUTY_SLOT,
      title: `${duty.transmitPercent}/${duty.audioPercent}/${Number(waits.toFixed(3))}, own`,
      ...duty,
    },
  ]
}
