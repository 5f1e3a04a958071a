import Joi from 'joi'

export const id = Joi.string()
  .min(1)
  .max(80)
  .pattern(/^[\w:.-]+$/)
export const line = Joi.string().allow('').max(400)
export const text = Joi.string().allow('').max(8000)
export const hz = Joi.number().min(0).max(1e12)
export const power = Joi.number().greater(0).max(1e5)
export const db = Joi.number().min(-300).max(300)
export const time = Joi.string().isoDate()
export const list = (item: Joi.Schema, most: number) => Joi.array().items(item).max(most).required()
