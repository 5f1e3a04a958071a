import Joi from 'joi'

/** An identity: letters, digits and a few signs; none that every object of the language answers to. */
export const id = Joi.string()
  .min(1)
  .max(80)
  .pattern(/^[\w:.-]+$/)
  .invalid(...Object.getOwnPropertyNames(Object.prototype))
/** Things by their id: none that is named is missing. */
export const byId = (thing: Joi.Schema) => Joi.object().pattern(id, thing.required()).required()
/** A line of text. */
export const line = Joi.string().allow('').max(400)
/** A few paragraphs. */
export const text = Joi.string().allow('').max(8000)
/** A frequency or a bandwidth, Hz. */
export const hz = Joi.number().min(0).max(1e12)
/** A power, W. */
export const power = Joi.number().greater(0).max(1e5)
/** A level in dBm or a ratio in dB. */
export const db = Joi.number().min(-300).max(300)
/** A moment, ISO 8601. */
export const time = Joi.string().isoDate()
/** A list of at most so many. */
export const list = (item: Joi.Schema, most: number) => Joi.array().items(item).max(most).required()
