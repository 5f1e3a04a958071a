import Joi from 'joi'
import { METER_SENSORS } from '../../chain'
import { DISPLAYS } from '../../uncertainty'
import { byId, db, list, hz, id, line, power, time } from './parts'

const loss = Joi.alternatives(
  Joi.object({ kind: Joi.valid('figure').required(), lossDb: db.required() }),
  Joi.object({
    kind: Joi.valid('table').required(),
    points: list(Joi.object({ frequencyHz: hz.required(), lossDb: db.required() }), 2000),
  }),
  Joi.object({
    kind: Joi.valid('coax').required(),
    lengthM: Joi.number().min(0).max(10000).required(),
    rootDbPer100M: Joi.number().min(0).max(1000).required(),
    linearDbPer100M: Joi.number().min(-100).max(1000).required(),
  }),
)
/** Calibrations by part. */
export const pins = byId(id)
const part = Joi.object({
  id: id.required(),
  kind: Joi.valid(
    'jumper',
    'pad',
    'adapter',
    'load',
    'sampler',
    'coupler',
    'combiner',
    'filter',
    'dc-block',
  ).required(),
  name: line.required(),
  note: line.required(),
  loss: loss.required(),
  lossUncertainty: Joi.object({
    halfWidthDb: Joi.number().min(0).max(60).required(),
    distribution: Joi.valid('rectangular', 'normal').required(),
    assumed: Joi.boolean().required(),
    shareOfLoss: Joi.number().min(0).max(1).required(),
    flatnessDb: Joi.number().min(0).max(60).allow(null).required(),
  }).required(),
  vswr: Joi.number().min(1).max(1000).required(),
  ratingW: power.allow(null).required(),
  zeroRatingAtC: Joi.number().greater(25).max(1000).allow(null).required(),
  peakW: power.allow(null).required(),
  typical: Joi.boolean().required(),
  calibrationId: id.allow(null).required(),
  fromHz: hz.allow(null).required(),
  toHz: hz.allow(null).required(),
})
/** How a display makes one level of many looks. */
export const detection = Joi.object({
  shows: Joi.valid(...DISPLAYS).required(),
  looks: Joi.number().integer().min(1).max(1e6).allow(null).required(),
})
const instrumentBase = {
  id: id.required(),
  name: line.required(),
  note: line.required(),
  fromHz: hz.required(),
  toHz: hz.required(),
  vswr: Joi.number().min(1).max(1000).required(),
  assumed: Joi.boolean().required(),
  resolution: Joi.number().min(0).max(1000).required(),
  referencePpm: Joi.number().min(0).max(1000).allow(null).required(),
}

/** An instrument, by its kind. */
export const instrument = Joi.alternatives(
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('power-meter').required(),
    accuracyPercent: Joi.number().min(0).max(1000).required(),
    accuracyOf: Joi.valid('reading', 'full-scale').required(),
    fullScaleW: power.required(),
    maxInputW: power.required(),
    inLine: Joi.boolean().required(),
    sensor: Joi.valid(...METER_SENSORS).required(),
  }),
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('spectrum-analyser').required(),
    damageDbm: db.required(),
    overloadDbm: db.required(),
    floorDbm: db.required(),
    resolutionBandwidthHz: Joi.number().greater(0).max(1e9).required(),
    amplitudeAccuracyDb: Joi.number().min(0).max(60).required(),
    floorDoubtDb: Joi.number().min(0).max(60).required(),
    flatnessDb: Joi.number().min(0).max(60).allow(null).required(),
    scaleDbPer10Db: Joi.number().min(0).max(10).allow(null).required(),
    detection: detection.required(),
  }),
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('receiver').required(),
    damageDbm: db.required(),
    overloadDbm: db.required(),
    deviationPercent: Joi.number().min(0).max(100).required(),
    ratioDb: Joi.number().min(0).max(60).required(),
  }),
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('signal-generator').required(),
    lowestDbm: db.required(),
    highestDbm: db.required(),
    setIn: Joi.valid('dBm', 'µV', 'dBµV').required(),
    voltageIs: Joi.valid('pd', 'emf').required(),
    levelAccuracyDb: Joi.number().min(0).max(60).required(),
    reverseW: power.allow(null).required(),
    phaseNoise: list(
      Joi.object({
        offsetHz: Joi.number().greater(0).max(1e9).required(),
        dbcPerHz: Joi.number().min(-200).max(0).required(),
      }),
      40,
    ),
    build: Joi.valid('pocket', 'laboratory').required(),
    modulations: Joi.array().items(Joi.valid('AM', 'FM')).unique().required(),
    tonesHz: Joi.array().items(Joi.number().greater(0).max(1e5)).max(40).required(),
    channels: Joi.valid(1, 2).required(),
  }),
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('audio-meter').required(),
    fullScaleV: Joi.number().greater(0).max(1e4).allow(null).required(),
    voltsPercent: Joi.number().min(0).max(1000).required(),
    sinadDb: Joi.number().min(0).max(60).required(),
  }),
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('ac-voltmeter').required(),
    accuracyPercent: Joi.number().min(0).max(1000).required(),
    fullScaleV: Joi.number().greater(0).max(1e4).required(),
  }),
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('antenna-analyser').required(),
    directivityDb: Joi.number().min(0).max(120).required(),
  }),
)
/** A chain and its parts. */
export const chain = Joi.object({
  id: id.required(),
  name: line.required(),
  instrumentId: Joi.string().allow('').max(80).required(),
  parts: list(part, 60),
  offsetOnInstrumentDb: db.required(),
  revision: Joi.number().integer().min(1).required(),
  joins: Joi.object({ chainId: id.required(), partId: id.required() }).allow(null).required(),
})
/** A measured path. */
export const calibration = Joi.object({
  id: id.required(),
  partId: id.required(),
  partName: line.required(),
  at: time.required(),
  withWhat: line.required(),
  expandedDb: Joi.number().min(0).max(60).required(),
  points: Joi.array()
    .items(
      Joi.object({
        frequencyHz: hz.greater(0).required(),
        throughDbm: db.required(),
        withPartDbm: db.required(),
      }),
    )
    .min(1)
    .max(2000)
    .required(),
})
/** A pad test as it was seen. */
export const padTest = Joi.object({
  id: id.required(),
  chainId: id.required(),
  at: time.required(),
  harmonic: Joi.number().integer().min(2).max(20).required(),
  frequencyHz: hz.required(),
  padDb: Joi.number().greater(0).max(60).required(),
  padHalfWidthDb: Joi.number().min(0).max(20).required(),
  withoutDbm: db.required(),
  withDbm: db.required(),
  resolutionDb: Joi.number().min(0).max(300).required(),
})
