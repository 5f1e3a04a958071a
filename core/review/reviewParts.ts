import type Joi from 'joi'
import { fieldSchema } from './schemaParts'

/** Schemas of the parts of a review that are kept elsewhere too. */
export const reviewParts = {
  get instruments(): Joi.Schema {
    return fieldSchema('instruments')
  },
  get chains(): Joi.Schema {
    return fieldSchema('chains')
  },
  get calibrations(): Joi.Schema {
    return fieldSchema('calibrations')
  },
  get ownRulebooks(): Joi.Schema {
    return fieldSchema('ownRulebooks')
  },
}
