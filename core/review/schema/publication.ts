import Joi from 'joi'
import { byId, id, line, list, text, time } from './parts'

const sha256 = Joi.string()
  .pattern(/^[0-9a-f]{64}$/)
  .required()
const base64 = Joi.string().base64().max(400).required()
const STATES = ['inside', 'too-close', 'outside', 'not-covered', 'no-figure', 'observation']

/** Figures a publication may hold: as many as a review. */
const MOST_FIGURES = 200_000

/** A state of a review that was published. */
export const publication = Joi.object({
  id: id.required(),
  at: time.required(),
  who: line.required(),
  note: text.required(),
  sha256,
  attachments: list(Joi.object({ id: id.required(), sha256 }), 10_000),
  versions: Joi.object({
    program: line.required(),
    stations: byId(Joi.number().integer().min(1)),
    rulebooks: list(Joi.object({ id: id.required(), title: line.required(), edition: line.required() }), 90),
  }).required(),
  figures: list(
    Joi.object({
      key: Joi.string().max(500).required(),
      set: Joi.string().allow('').max(1000).required(),
      station: line.required(),
      place: Joi.string().max(2000).required(),
      words: text.required(),
      state: Joi.valid(...STATES).required(),
    }),
    MOST_FIGURES,
  ),
  signature: Joi.object({ publicKey: base64, value: base64 }).allow(null).required(),
})

/** The reviewer’s words on the sheets of models, by model. */
export const sheetWords = Joi.object()
  .pattern(
    Joi.string().max(900),
    Joi.object({ text: text.required(), who: line.required(), at: time.required() }).required(),
  )
  .max(400)
  .required()
