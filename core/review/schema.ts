import Joi from 'joi'
import { DECISION_RULES } from '../decision'
import { rulebookSchema } from '../rules'
import { MOST_CLIPS } from './stepRecordTypes'
import { type Review } from './types'
import { byId, id, line, list, text, time } from './schema/parts'
import { instrument, chain, padTest, calibration } from './schema/bench'
import { set } from './schema/card'
import { publication, sheetWords } from './schema/publication'
import { readingSchema } from './schema/readings'
import {
  trace,
  curve,
  keyDown,
  note,
  picture,
  clip,
  skipped,
  controlCheck,
  otherFigure,
} from './schema/stepRecords'

/** States of one review that may be published. */
const MOST_PUBLICATIONS = 60

const MOST_MEMO_CHARACTERS = 20_000

/** What a station keeps is the station's own affair; here only its size is held. */
const memoPart = Joi.any().custom((value, helpers) =>
  JSON.stringify(value ?? null).length <= MOST_MEMO_CHARACTERS ? value : helpers.error('any.invalid'),
)
const memo = Joi.object({
  common: memoPart.allow(null).required(),
  bySet: byId(memoPart),
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
  clips: list(clip, MOST_CLIPS),
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
    .pattern(Joi.string().max(300), Joi.array().items(Joi.string().max(80)).max(60).required())
    .required(),
  memos: byId(memo),
  sheetWords,
  publications: list(publication, MOST_PUBLICATIONS),
})
