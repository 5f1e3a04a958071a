import Joi from 'joi'
import type { Context } from '../../../context'
import type { RadioSet } from '../../../review'

/** Identity of the station, as readings are stored under it. */
export const INSIDE_ID = 'inside'

/** An adjustment inside a set: who may do it, when it began and ended, and what is aimed at. */
export interface InsideMemo {
  /** Who is licensed or competent to adjust it. */
  by: string
  begunAt: string
  /** null while it is going on. */
  doneAt: string | null
  /** What the reviewer aims at, W and Hz; null: the legal limit alone. */
  aimW: number | null
  aimHz: number | null
}

/** What may be kept of a set. */
export const insideMemoSchema = Joi.object<InsideMemo>({
  by: Joi.string().min(1).max(200).required(),
  begunAt: Joi.string().isoDate().required(),
  doneAt: Joi.string().isoDate().allow(null).required(),
  aimW: Joi.number().greater(0).max(1e6).allow(null).required(),
  aimHz: Joi.number().greater(0).max(1e6).allow(null).required(),
})

/** The adjustment of a set; null where none was begun. */
export function insideMemo(set: Pick<RadioSet, 'id'>, context: Context): InsideMemo | null {
  const { error, value } = insideMemoSchema.validate(context.memoOf(INSIDE_ID, set.id))
  return error || !value ? null : value
}
