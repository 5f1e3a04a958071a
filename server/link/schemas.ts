import Joi from 'joi'
import { chainSchema, instrumentSchema } from '#core/review'
import { LINK_LIMITS } from './limits'

const instrumentId = Joi.string().max(80).required()
const line = Joi.string()
  .min(1)
  .max(LINK_LIMITS.lineCharacters)
  // No control characters: one could begin a second line.
  .pattern(/^[\x20-\x7e\t]*$/)
const lineEnd = Joi.valid('\n', '\r\n').default('\n')
const timeoutMs = Joi.number().integer().min(50).max(LINK_LIMITS.longestMs).default(LINK_LIMITS.usualMs)

/** What the routes of the link take. */
export const linkSchemas = {
  identify: Joi.object({ instrumentId, line: line.default('*IDN?'), lineEnd, timeoutMs }),
  query: Joi.object({
    ...{ instrumentId, lineEnd, timeoutMs },
    line: line.required(),
    before: Joi.array().items(line).max(LINK_LIMITS.linesAtOnce).default([]),
    form: Joi.valid('none', 'line').required(),
  }),
  trace: Joi.object({
    ...{ instrumentId, lineEnd, timeoutMs },
    line: line.required(),
    form: Joi.valid('line', 'block').default('block'),
  }),
  log: Joi.object({
    ...{ instrumentId, lineEnd, timeoutMs },
    line: line.required(),
    everyMs: Joi.number().integer().min(LINK_LIMITS.logEveryMs).max(3600_000).required(),
    count: Joi.number().integer().min(1).max(LINK_LIMITS.logCount).required(),
  }),
  abort: Joi.object({ instrumentId }),
  virtual: Joi.object({
    seed: Joi.number()
      .integer()
      .min(0)
      .max(2 ** 32)
      .required(),
    radioId: Joi.string().min(1).max(200).required(),
    setting: Joi.object({
      plugs: Joi.object()
        .pattern(
          Joi.string().max(40),
          Joi.object({ chain: chainSchema.required(), instrument: instrumentSchema.required() }),
        )
        .max(8)
        .required(),
      radio: Joi.alternatives(
        Joi.object({ is: Joi.valid('off').required() }),
        Joi.object({
          is: Joi.valid('keyed').required(),
          keyed: Joi.object({
            carrierHz: Joi.number().min(1e4).max(1e12).required(),
            claimedW: Joi.number().greater(0).max(1e5).required(),
            levelId: Joi.string().allow('').max(200),
            forS: Joi.number().min(0).max(1e6).required(),
            spacingHz: Joi.number().min(1e3).max(1e6),
            speaks: Joi.valid('nothing', 'tone', 'loudest'),
          }).required(),
        }),
        Joi.object({
          is: Joi.valid('hears').required(),
          channelHz: Joi.number().min(1e4).max(1e12).required(),
          spacingHz: Joi.number().min(1e3).max(1e6).required(),
          squelchIsOpen: Joi.boolean().required(),
          volume: Joi.valid('usual', 'rated'),
        }),
      ).required(),
    }).required(),
  }),
} as const
