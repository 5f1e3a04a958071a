import Joi from 'joi'
import type { Context } from '../../../context'

/** Identity of the station, as readings are stored under it. */
export const REACH_ID = 'reach'

/** A signal every radio is asked about: who was heard, from where. */
export interface HeardSignal {
  id: string
  who: string
  where: string
}

/** What the station keeps for the review: the place and the signals, the same for all radios. */
export interface ReachMemo {
  /** Where and when the radios were held. */
  place: string
  signals: HeardSignal[]
}

/** Signals a review may ask about. */
export const MOST_SIGNALS = 20

/** What may be kept. */
export const reachMemoSchema = Joi.object<ReachMemo>({
  place: Joi.string().allow('').max(400).required(),
  signals: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().min(1).max(60).required(),
        who: Joi.string().allow('').max(120).required(),
        where: Joi.string().allow('').max(200).required(),
      }),
    )
    .max(MOST_SIGNALS)
    .unique('id')
    .required(),
})

/** A repeater, a near and a far station: what every place has, until somebody names them. */
const USUAL: ReachMemo = Object.freeze({
  place: '',
  signals: [
    { id: 'near', who: 'a near station', where: '' },
    { id: 'far', who: 'a far station', where: '' },
    { id: 'weak', who: 'the weakest that is known to be there', where: '' },
  ],
})

/** The place and the signals of the review. */
export function reachMemo(context: Context): ReachMemo {
  const { error, value } = reachMemoSchema.validate(context.memo(REACH_ID))
  return error || !value ? USUAL : value
}
