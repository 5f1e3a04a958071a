import Joi from 'joi'
import { RECEIVER_CLAIMS } from '../cardTypes'
import { byId, power, id, line, list, text, time } from './parts'

const claim = Joi.alternatives(
  Joi.object({ kind: Joi.valid('watts').required(), powerW: power.required() }),
  Joi.object({ kind: Joi.valid('not-said').required() }),
  Joi.object({ kind: Joi.valid('no-level').required() }),
)
const band = Joi.object({
  id: id.required(),
  name: line.required(),
  channels: list(
    Joi.object({
      id: id.required(),
      name: line.required(),
      frequencyHz: Joi.number().greater(0).max(1e12).required(),
      harmonics: Joi.boolean().required(),
    }),
    200,
  ),
  claims: byId(claim),
  mode: Joi.valid('FM', 'AM', 'SSB').required(),
  channelSpacingHz: Joi.number().greater(0).max(1e7).allow(null).required(),
  alsoSpacingsHz: Joi.array().items(Joi.number().greater(0).max(1e7)).unique().max(10).required(),
  antennaGainDbd: Joi.number().min(-60).max(60).allow(null).required(),
  antennaGainDoubtDb: Joi.number().min(0).max(60).allow(null).required(),
  receives: list(
    Joi.object({
      id: id.required(),
      kind: Joi.valid(...RECEIVER_CLAIMS).required(),
      value: Joi.number().min(-300).max(1e6).allow(null).required(),
      unit: Joi.valid('dBm', 'µV', 'dBµV', 'dB', 'W').required(),
      voltageIs: Joi.valid('pd', 'emf', 'not-said').required(),
      takenAs: Joi.valid('pd', 'emf').required(),
      spacingHz: Joi.number().greater(0).max(1e7).allow(null).required(),
    }),
    40,
  ),
  rulebookIds: Joi.array().items(id).min(1).max(30).allow(null).required(),
})
const figureOrNull = Joi.number().greater(0).max(1e6).allow(null).required()
/** A radio’s card. */
export const set = Joi.object({
  id: id.required(),
  kind: Joi.valid('handheld', 'mobile').required(),
  role: Joi.valid('under-test', 'control').required(),
  make: line.required(),
  model: line.required(),
  sample: line.required(),
  serial: line.required(),
  firmware: line.required(),
  price: line.required(),
  howObtained: text.required(),
  inTheBox: text.required(),
  battery: Joi.object({
    voltageV: figureOrNull,
    capacityAh: figureOrNull,
    energyWh: figureOrNull,
  }).required(),
  levels: list(Joi.object({ id: id.required(), name: line.required() }), 20),
  bands: list(band, 40),
  supplyNow: line.required(),
  keyDownLimitS: Joi.number().min(1).max(3600).required(),
  readyFor: Joi.object({
    work: Joi.valid('transmits', 'hears').required(),
    ticked: Joi.array().items(Joi.string().max(80)).max(40).required(),
    at: time.required(),
  })
    .allow(null)
    .required(),
  chains: byId(byId(id)),
})
