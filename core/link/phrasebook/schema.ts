import Joi from 'joi'
import { PHRASE_NAMES, type Phrasebook, PLACES, SPOKEN_KINDS } from './types'

const PLACE = /\{(\w+)\}/g

/** One line of text that an instrument can be sent. */
const line = Joi.string()
  .max(500)
  // No control characters: one could begin a second line.
  .pattern(/^[\x20-\x7e]*$/)
  .custom((text: string, helpers) => {
    const unknown = [...text.matchAll(PLACE)].find(
      ([, place]) => !(PLACES as readonly string[]).includes(place!),
    )
    return unknown ? helpers.error('any.invalid') : text
  })
const lines = Joi.array().items(line.min(1)).max(20).required()

const answer = Joi.object({
  form: Joi.valid('number', 'numbers', 'block').required(),
  unit: Joi.valid('dBm', 'W', 'V', 'A', 'Hz', 'dB', 'VSWR').required(),
  scale: Joi.number().invalid(0).min(-1e15).max(1e15).required(),
  pick: Joi.number().integer().min(0).max(1000).allow(null).required(),
  packed: Joi.valid('float32', 'float32-little', null).required(),
})

const phrase = Joi.object({
  send: Joi.array().items(line.min(1)).min(1).max(20).required(),
  answer: answer.allow(null).required(),
  waitMs: Joi.number().integer().min(0).max(60_000).required(),
})

/** Schema of a phrasebook; the published one is `/schema/phrasebook-1.schema.json`. */
export const phrasebookSchema = Joi.object<Phrasebook>({
  id: Joi.string()
    .min(1)
    .max(80)
    .pattern(/^[\w.-]+$/)
    .required(),
  title: Joi.string().min(1).max(300).required(),
  kind: Joi.valid(...SPOKEN_KINDS).required(),
  note: Joi.string().allow('').max(2000).required(),
  lineEnd: Joi.valid('\n', '\r\n').required(),
  begin: lines,
  safe: lines,
  identify: line.min(1).required(),
  nextError: line.allow('').required(),
  phrases: Joi.object(Object.fromEntries(PHRASE_NAMES.map(name => [name, phrase]))).required(),
})
