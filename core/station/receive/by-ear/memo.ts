import Joi from 'joi'
import type { Context } from '../../../context'

/** Identity of the station, as clips and what listeners chose are stored under it. */
export const BY_EAR_ID = 'by-ear'

/** What a listener said of two clips without knowing which was which. */
export type BlindChoice = 'this' | 'other' | 'same'

/** One round of blind listening between two radios, kept with one of them. */
export interface BlindRound {
  id: string
  at: string
  /** Who listened. */
  who: string
  otherSetId: string
  clipId: string
  otherClipId: string
  /** Which of them was called “first”. */
  first: 'this' | 'other'
  choice: BlindChoice
}

/** What the station keeps of a set. */
export interface ByEarMemo {
  rounds: BlindRound[]
}

/** Rounds kept with a set. */
export const MOST_ROUNDS = 60

const key = Joi.string().min(1).max(60).required()

/** What may be kept. */
export const byEarMemoSchema = Joi.object<ByEarMemo>({
  rounds: Joi.array()
    .items(
      Joi.object({
        id: key,
        at: Joi.string().isoDate().required(),
        who: Joi.string().allow('').max(60).required(),
        otherSetId: key,
        clipId: key,
        otherClipId: key,
        first: Joi.valid('this', 'other').required(),
        choice: Joi.valid('this', 'other', 'same').required(),
      }),
    )
    .max(MOST_ROUNDS)
    .unique('id')
    .required(),
})

const NO_ROUNDS: ByEarMemo = Object.freeze({ rounds: [] })

/** The rounds kept with a set. */
export function byEarMemo(setId: string, context: Context): ByEarMemo {
  const { error, value } = byEarMemoSchema.validate(context.memoOf(BY_EAR_ID, setId))
  return error || !value ? NO_ROUNDS : value
}
