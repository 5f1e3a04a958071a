import Joi from 'joi'
import type { Context } from '../../../context'
import type { RadioSet } from '../../../review'

/** Identity of the station, as readings are stored under it. */
export const STRONG_ID = 'strong-signals'

/** What is known of a set for this station: the owner’s consent to survival, and its intermediate frequency. */
export interface StrongMemo {
  /** Up to which level the owner accepts the risk, dBm at the socket; null: no consent. */
  consent: { by: string; at: string; upToDbm: number } | null
  /** First intermediate frequency, Hz; null where nobody knows. */
  ifHz: number | null
  /** The oscillator runs above the signal. */
  isHighSide: boolean
}

/** Schema of what the station keeps for a set. */
export const strongMemoSchema = Joi.object<StrongMemo>({
  consent: Joi.object({
    by: Joi.string().allow('').max(400).required(),
    at: Joi.string().isoDate().required(),
    upToDbm: Joi.number().min(0).max(50).required(),
  })
    .allow(null)
    .required(),
  ifHz: Joi.number().greater(0).max(1e10).allow(null).required(),
  isHighSide: Joi.boolean().required(),
})

const NOTHING: StrongMemo = { consent: null, ifHz: null, isHighSide: false }

/** What is known of a set. */
export function strongMemo(set: Pick<RadioSet, 'id'>, context: Context): StrongMemo {
  const { error, value } = strongMemoSchema.validate(context.memoOf(STRONG_ID, set.id))
  return error || !value ? NOTHING : value
}
