import Joi from 'joi'
import type { Context } from '../../../context'
import type { RadioSet } from '../../../review'

/** Identity of the station, as readings are stored under it. */
export const ANTENNA_ID = 'antenna'

/** Whose antenna it is: came with the set, another one, or the control radio’s. */
export const ANTENNA_KINDS = ['supplied', 'other', 'control'] as const
/** Whose antenna it is. */
export type AntennaKind = (typeof ANTENNA_KINDS)[number]

/** An antenna that is read on a set, and how it was held. */
export interface Antenna {
  id: string
  name: string
  kind: AntennaKind
  /** In the hand, on the bench, on a car: part of every figure of it. */
  held: string
  /** Range its label gives, Hz; null where it says none. */
  labelHz: [fromHz: number, toHz: number] | null
  /** The worst match its label promises there; null where it says none. */
  labelVswr: number | null
}

const antenna = Joi.object<Antenna>({
  id: Joi.string().min(1).max(60).required(),
  name: Joi.string().allow('').max(120).required(),
  kind: Joi.valid(...ANTENNA_KINDS).required(),
  held: Joi.string().allow('').max(400).required(),
  labelHz: Joi.array()
    .ordered(Joi.number().min(1e3).max(1e12).required(), Joi.number().min(1e3).max(1e12).required())
    .allow(null)
    .required(),
  labelVswr: Joi.number().min(1).max(100).allow(null).required(),
})

/** As many antennas as a set is read with, at most. */
export const MOST_ANTENNAS = 8

/** What the station keeps of a set: its antennas. */
export const antennaMemoSchema = Joi.object<{ antennas: Antenna[] }>({
  antennas: Joi.array().items(antenna).min(1).max(MOST_ANTENNAS).unique('id').required(),
})

/** The antenna every set has until somebody says more. */
const SUPPLIED: Antenna = Object.freeze({
  id: 'supplied',
  name: 'Supplied',
  kind: 'supplied',
  held: '',
  labelHz: null,
  labelVswr: null,
})

/** The antennas of a set. */
export function antennasOf(set: Pick<RadioSet, 'id'>, context: Context): readonly Antenna[] {
  const { error, value } = antennaMemoSchema.validate(context.memoOf(ANTENNA_ID, set.id))
  return error || !value ? [SUPPLIED] : value.antennas
}
