import Joi from 'joi'
import { LEVEL_UNITS, FIGURE_UNITS } from '../../quantity'
import { SIGNAL_NATURES } from '../readingTypes'
import { detection, pins } from './bench'
import { byId, line, id, db, hz, text, time } from './parts'

const source = Joi.alternatives(
  Joi.object({ kind: Joi.valid('typed', 'demo').required() }),
  Joi.object({
    kind: Joi.valid('file').required(),
    fileName: line.required(),
    sha256: Joi.string().allow('').max(128).required(),
    traceId: id.required(),
  }),
  Joi.object({
    kind: Joi.valid('recording').required(),
    fileName: line.required(),
    sha256: Joi.string().allow('').max(128).required(),
    curveIds: Joi.array().items(id).max(10).required(),
  }),
  Joi.object({
    kind: Joi.valid('link').required(),
    instrument: line.required(),
    answer: Joi.string().allow('').max(200),
  }),
)
/** Identity of a step: a station with its place. */
export const stepId = Joi.string().min(1).max(300)
const seenLevel = Joi.object({
  as: Joi.valid('level').required(),
  value: Joi.number().required(),
  unit: Joi.valid(...LEVEL_UNITS).required(),
  levelDbm: db.required(),
  resolutionDb: Joi.number().min(0).max(300).required(),
  isUpperBound: Joi.boolean().required(),
  frequencyHz: hz.required(),
  traceFloorDbm: db.allow(null).required(),
  doubt: Joi.object({
    kind: Joi.valid('coarse-trace', 'stepped-trace').required(),
    stepHz: hz.required(),
    resolutionBandwidthHz: hz.allow(null).required(),
  })
    .allow(null)
    .required(),
  repeatsDbm: Joi.array().items(db).max(100).required(),
  resolutionBandwidthHz: Joi.number().greater(0).max(1e9),
  detection,
  nature: Joi.valid(...SIGNAL_NATURES),
  sweeps: Joi.object({
    levels: Joi.number().integer().min(2).max(1e6).required(),
    spreadDb: Joi.number().min(0).max(400).required(),
  }),
})
const seenFigure = Joi.object({
  as: Joi.valid('figure').required(),
  value: Joi.number().min(-1e12).max(1e12).required(),
  unit: Joi.valid(...FIGURE_UNITS).required(),
  resolution: Joi.number().min(0).max(1e12).required(),
  isUpperBound: Joi.boolean().required(),
  standardUncertainty: Joi.number().min(0).max(1e12).required(),
  noiseAdds: Joi.number().min(0).max(1e12).required(),
  method: text.required(),
})

/** Schema of one reading as stored: a level or a figure, the same for every station. */
export const readingSchema = Joi.object({
  id: id.required(),
  setId: id.required(),
  stationId: id.required(),
  stepId: stepId.required(),
  slot: id.required(),
  text: line.required(),
  seen: Joi.alternatives()
    .conditional('.as', { is: 'level', then: seenLevel, otherwise: seenFigure })
    .required(),
  instrumentId: id.allow(null).required(),
  through: byId(
    Joi.object({
      chainId: id.required(),
      chainRevision: Joi.number().integer().min(1).required(),
      calibrationIds: pins,
    }),
  ),
  applied: byId(seenLevel),
  supply: line.required(),
  ambientC: Joi.number().min(-100).max(200).allow(null).required(),
  who: line.required(),
  at: time.required(),
  source: source.required(),
  supersedes: id.allow(null).required(),
})
