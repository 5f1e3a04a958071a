import Joi from 'joi'
import { LEVEL_RANKS, QUANTITIES, RECEIVER_METHODS, type Rulebook, SCALAR_UNITS } from './types'

const id = Joi.string()
  .min(1)
  .max(80)
  .pattern(/^[\w.-]+$/)
const line = Joi.string().allow('').max(300)
const text = Joi.string().allow('').max(4000)
const hz = Joi.number().min(0).max(1e12)
const watts = Joi.number().greater(0).max(1e6)
const db = Joi.number().min(-300).max(300)

const noSuchKind = Joi.any().custom((_value, helpers) =>
  helpers.message({ custom: 'has a kind of limit that does not exist' }),
)

const powerLimit = Joi.alternatives()
  .conditional('.kind', {
    switch: [
      { is: 'absolute', then: Joi.object({ kind: Joi.required(), powerW: watts.required() }) },
      { is: 'relative', then: Joi.object({ kind: Joi.required(), attenuationDb: db.required() }) },
      { is: 'offset-plus-log-power', then: Joi.object({ kind: Joi.required(), offsetDb: db.required() }) },
      {
        is: 'strictest',
        then: Joi.object({
          kind: Joi.required(),
          of: Joi.array().items(Joi.link('#power')).min(1).max(20).required(),
        }),
      },
      {
        is: 'loosest',
        then: Joi.object({
          kind: Joi.required(),
          of: Joi.array().items(Joi.link('#power')).min(1).max(20).required(),
        }),
      },
      {
        is: 'not-below',
        then: Joi.object({
          kind: Joi.required(),
          powerW: watts.required(),
          limit: Joi.link('#power').required(),
        }),
      },
      {
        is: 'by-emission',
        then: Joi.object({
          kind: Joi.required(),
          segments: Joi.array()
            .items(
              Joi.object({
                fromHz: hz.required(),
                toHz: hz.greater(Joi.ref('fromHz')).required(),
                limit: Joi.link('#power').required(),
              }),
            )
            .min(1)
            .max(60)
            .required(),
        }),
      },
      {
        is: 'mask',
        then: Joi.object({
          kind: Joi.required(),
          unit: Joi.valid('Hz', 'percent').required(),
          steps: Joi.array()
            .items(
              Joi.object({
                from: Joi.number().min(0).required(),
                to: Joi.number().greater(Joi.ref('from')).required(),
                limit: Joi.link('#power').required(),
              }),
            )
            .min(1)
            .max(60)
            .required(),
        }),
      },
      {
        is: 'slope',
        then: Joi.object({
          kind: Joi.required(),
          law: Joi.valid('linear', 'log', 'log-square').required(),
          a: Joi.number().required(),
          b: Joi.number().required(),
        }),
      },
    ],
    otherwise: noSuchKind,
  })
  .id('power')

const scalarLimit = Joi.object({
  kind: Joi.valid('at-most', 'at-least', 'within').required(),
  value: Joi.number().required(),
  to: Joi.number().when('kind', {
    is: 'within',
    then: Joi.number().min(Joi.ref('value')).required(),
    otherwise: Joi.forbidden(),
  }),
  unit: Joi.valid(...SCALAR_UNITS).required(),
})

const range = Joi.array().ordered(hz.required(), hz.required()).length(2)

const conditions = Joi.object({
  carrierHz: Joi.array().items(range).min(1).max(100),
  channelsHz: Joi.array().items(hz).min(1).max(400),
  powerW: Joi.array()
    .ordered(Joi.number().min(0).required(), Joi.number().greater(0).allow(null).required())
    .length(2),
  modes: Joi.array()
    .items(Joi.valid('FM', 'AM', 'SSB'))
    .min(1),
  channelSpacingHz: Joi.array().items(hz.greater(0)).min(1).max(20),
  kinds: Joi.array().items(Joi.valid('handheld', 'mobile')).min(1),
  methods: Joi.array()
    .items(Joi.valid(...RECEIVER_METHODS))
    .min(1),
  state: Joi.valid('operating', 'standby'),
  harmonicsOnly: Joi.boolean(),
  fromCarrierTimes: Joi.number().min(1).max(100),
  awayHz: Joi.number().greater(0).max(1e12),
  levels: Joi.array()
    .items(Joi.valid(...LEVEL_RANKS))
    .min(1),
})

const clause = Joi.object({
  id: id.required(),
  clause: Joi.string().min(1).max(300).required(),
  about: Joi.valid(...QUANTITIES).required(),
  confidence: Joi.valid('H', 'M', 'L').required(),
  recalled: Joi.boolean().default(true),
  when: conditions.default({}),
  limit: Joi.when('about', {
    is: Joi.valid('unwanted', 'adjacent-power'),
    then: Joi.link('#power'),
    otherwise: Joi.when('about', {
      is: 'carrier-power',
      then: Joi.alternatives(scalarLimit, Joi.link('#power')),
      otherwise: scalarLimit,
    }),
  }).required(),
  basis: Joi.valid('conducted', 'erp').default('conducted'),
  bandwidthHz: hz.greater(0),
  referenceBandwidth: Joi.array()
    .items(Joi.object({ fromHz: hz.required(), toHz: hz.required(), bandwidthHz: hz.greater(0).required() }))
    .max(40),
  note: text.default(''),
}).shared(powerLimit)

/**
 * Schema of a rulebook as it stands in a review or a file, without the envelope. Missing optional members are
 * filled in.
 */
export const rulebookSchema = Joi.object<Rulebook>({
  id: id.required(),
  title: Joi.string().min(1).max(200).required(),
  jurisdiction: line.required(),
  edition: line.required(),
  standing: Joi.valid('law', 'standard', 'yardstick').required(),
  owner: Joi.valid('shipped', 'reviewer').default('reviewer'),
  basedOn: id.allow(null).default(null),
  note: text.default(''),
  bands: Joi.array()
    .items(
      Joi.object({
        name: line.required(),
        fromHz: hz.required(),
        toHz: hz.greater(Joi.ref('fromHz')).required(),
      }),
    )
    .max(200)
    .required(),
  clauses: Joi.array().items(clause).max(400).unique('id').required(),
  decides: Joi.object({
    rule: Joi.valid('value-against-limit').required(),
    largest: Joi.array()
      .items(
        Joi.object({
          about: Joi.valid(...QUANTITIES).required(),
          value: Joi.number().greater(0).max(1000).required(),
          unit: Joi.valid('dB', '%', 'ppm').required(),
        }),
      )
      .max(60)
      .required(),
  }),
  noFigure: Joi.array()
    .items(
      Joi.object({
        clause: line.required(),
        about: Joi.valid(...QUANTITIES).required(),
        carrierHz: range.required(),
        words: Joi.string().min(1).max(1000).required(),
      }),
    )
    .max(100)
    .required(),
})
