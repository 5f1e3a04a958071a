import Joi from 'joi'
import { DECISION_RULES } from '../decision'
import { FIGURE_UNITS, LEVEL_UNITS } from '../quantity'
import { rulebookSchema } from '../rules'
import { CURVE_KINDS, type Review } from './types'

const id = Joi.string()
  .min(1)
  .max(80)
  .pattern(/^[\w:.-]+$/)
const line = Joi.string().allow('').max(400)
const text = Joi.string().allow('').max(8000)
const hz = Joi.number().min(0).max(1e12)
const power = Joi.number().greater(0).max(1e5)
const db = Joi.number().min(-300).max(300)
const time = Joi.string().isoDate()
const list = (item: Joi.Schema, most: number) => Joi.array().items(item).max(most).required()

const loss = Joi.alternatives(
  Joi.object({ kind: Joi.valid('figure').required(), lossDb: db.required() }),
  Joi.object({
    kind: Joi.valid('table').required(),
    points: list(Joi.object({ frequencyHz: hz.required(), lossDb: db.required() }), 2000),
  }),
  Joi.object({
    kind: Joi.valid('coax').required(),
    lengthM: Joi.number().min(0).max(10_000).required(),
    rootDbPer100M: Joi.number().min(0).max(1000).required(),
    linearDbPer100M: Joi.number().min(-100).max(1000).required(),
  }),
)

const pins = Joi.object().pattern(id, id).required()

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

const instrument = Joi.alternatives(
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('power-meter').required(),
    accuracyPercent: Joi.number().min(0).max(1000).required(),
    accuracyOf: Joi.valid('reading', 'full-scale').required(),
    fullScaleW: power.required(),
    maxInputW: power.required(),
    inLine: Joi.boolean().required(),
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
  }),
  Joi.object({
    ...instrumentBase,
    kind: Joi.valid('receiver').required(),
    damageDbm: db.required(),
    overloadDbm: db.required(),
    deviationPercent: Joi.number().min(0).max(100).required(),
    ratioDb: Joi.number().min(0).max(60).required(),
  }),
)

const chain = Joi.object({
  id: id.required(),
  name: line.required(),
  instrumentId: Joi.string().allow('').max(80).required(),
  parts: list(part, 60),
  offsetOnInstrumentDb: db.required(),
  revision: Joi.number().integer().min(1).required(),
})

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
  claims: Joi.object().pattern(id, claim).required(),
  mode: Joi.valid('FM', 'AM', 'SSB').required(),
  channelSpacingHz: Joi.number().greater(0).max(1e7).allow(null).required(),
  alsoSpacingsHz: Joi.array().items(Joi.number().greater(0).max(1e7)).unique().max(10).required(),
  antennaGainDbd: Joi.number().min(-60).max(60).allow(null).required(),
  rulebookIds: Joi.array().items(id).min(1).max(30).allow(null).required(),
})

const figureOrNull = Joi.number().greater(0).max(1e6).allow(null).required()

const set = Joi.object({
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
  chains: Joi.object().pattern(id, Joi.object().pattern(id, id)).required(),
})

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
  Joi.object({ kind: Joi.valid('link').required(), instrument: line.required() }),
)

const stepId = Joi.string().min(1).max(300)

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
  through: Joi.object()
    .pattern(
      id,
      Joi.object({
        chainId: id.required(),
        chainRevision: Joi.number().integer().min(1).required(),
        calibrationIds: pins,
      }),
    )
    .required(),
  supply: line.required(),
  ambientC: Joi.number().min(-100).max(200).allow(null).required(),
  who: line.required(),
  at: time.required(),
  source: source.required(),
  supersedes: id.allow(null).required(),
})

const inStep = { id: id.required(), setId: id.required(), stepId: stepId.required(), at: time.required() }

const curve = Joi.object({
  ...inStep,
  kind: Joi.valid(...CURVE_KINDS).required(),
  fileName: line.required(),
  words: text.required(),
  rows: Joi.number().integer().min(0).max(4096).required(),
})
const keyDown = Joi.object({
  ...inStep,
  chainId: id.allow(null).required(),
  seconds: Joi.number().min(0).max(86_400).required(),
  powerW: Joi.number().min(0).max(1e5).required(),
})
const note = Joi.object({ ...inStep, text: text.required(), who: line.required() })
const picture = Joi.object({
  ...inStep,
  name: line.required(),
  width: Joi.number().integer().min(1).max(10_000).required(),
  height: Joi.number().integer().min(1).max(10_000).required(),
  bytes: Joi.number().integer().min(1).max(20_000_000).required(),
})
const skipped = Joi.object({
  setId: id.required(),
  stepId: stepId.required(),
  reason: line.required(),
  at: time.required(),
})

const trace = Joi.object({
  id: id.required(),
  setId: id.required(),
  stepId: Joi.string().min(1).max(300).required(),
  fileName: line.required(),
  sha256: Joi.string().allow('').max(128).required(),
  pointCount: Joi.number().integer().min(1).max(2_000_000).required(),
  fromHz: hz.required(),
  toHz: hz.required(),
  resolutionBandwidthHz: hz.allow(null).required(),
  keepsHighest: Joi.boolean().required(),
  floorDbm: db.required(),
  chainId: id.required(),
  at: time.required(),
})

const calibration = Joi.object({
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

const padTest = Joi.object({
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

const controlCheck = Joi.object({
  id: id.required(),
  chainId: id.required(),
  setId: id.required(),
  at: time.required(),
  frequencyHz: hz.required(),
  text: line.required(),
  levelDbm: db.required(),
  resolutionDb: Joi.number().min(0).max(300).required(),
  calibrationIds: pins,
  knownDbm: db.required(),
  knownExpandedDb: Joi.number().min(0).max(60).required(),
  knownFrom: line.required(),
})

const otherFigure = Joi.object({
  id: id.required(),
  setId: id.required(),
  stationId: id.required(),
  stepId: Joi.string().min(1).max(300).required(),
  slot: id.required(),
  who: line.required(),
  text: line.required(),
  levelDbm: db.required(),
  expandedDb: Joi.number().min(0).max(60).required(),
  at: time.required(),
})

const MOST_MEMO_CHARACTERS = 20_000

/** What a station keeps is the station's own affair; here only its size is held. */
const memoPart = Joi.any().custom((value, helpers) =>
  JSON.stringify(value ?? null).length <= MOST_MEMO_CHARACTERS ? value : helpers.error('any.invalid'),
)
const memo = Joi.object({
  common: memoPart.allow(null).required(),
  bySet: Joi.object().pattern(id, memoPart).required(),
})

/** Schema of a whole review as stored and as taken away in a file. */
export const reviewSchema = Joi.object<Review>({
  id: id.required(),
  title: Joi.string().min(1).max(400).required(),
  purpose: text.required(),
  reviewer: line.required(),
  createdAt: time.required(),
  updatedAt: time.required(),
  settings: Joi.object({
    rulebookIds: Joi.array().items(id).min(1).max(30).required(),
    yardstickId: id.allow(null).required(),
    decisionRule: Joi.valid(...DECISION_RULES).required(),
    claimToleranceDb: Joi.number().min(0).max(20).required(),
    calibrationMaxAgeDays: Joi.number().integer().min(1).max(36_500).required(),
    ambientC: Joi.number().min(-60).max(90).required(),
    duty: Joi.object({
      keyedS: Joi.number().min(1).max(86_400).required(),
      restS: Joi.number().min(0).max(86_400).required(),
    }).required(),
    soundCue: Joi.boolean().required(),
    alsoStations: Joi.array().items(id).max(30).required(),
  }).required(),
  sets: list(set, 400),
  instruments: list(instrument, 200),
  chains: list(chain, 200),
  readings: list(readingSchema, 100_000),
  traces: list(trace, 2000),
  curves: list(curve, 5000),
  keyDowns: list(keyDown, 50_000),
  notes: list(note, 20_000),
  pictures: list(picture, 2000),
  skipped: list(skipped, 20_000),
  runOrder: list(Joi.string().max(400), 20_000),
  calibrations: list(calibration, 2000),
  calibrationSwaps: list(
    Joi.object({
      id: id.required(),
      at: time.required(),
      partId: id.required(),
      fromId: id.allow(null).required(),
      toId: id.allow(null).required(),
    }),
    2000,
  ),
  padTests: list(padTest, 2000),
  controlChecks: list(controlCheck, 2000),
  otherFigures: list(otherFigure, 5000),
  ownRulebooks: list(rulebookSchema, 60),
  ticks: Joi.object()
    .pattern(Joi.string().max(300), Joi.array().items(Joi.string().max(80)).max(60))
    .required(),
  memos: Joi.object().pattern(id, memo).required(),
})
