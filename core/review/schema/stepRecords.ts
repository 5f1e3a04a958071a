import Joi from 'joi'
import { CLIP_SOUNDS, CURVE_KINDS, MOST_CLIP_BYTES } from '../stepRecordTypes'
import { pins } from './bench'
import { id, time, line, text, hz, db } from './parts'
import { stepId } from './readings'

const inStep = { id: id.required(), setId: id.required(), stepId: stepId.required(), at: time.required() }
/** A curve that is kept for drawing; its points are a record of their own. */
export const curve = Joi.object({
  ...inStep,
  kind: Joi.valid(...CURVE_KINDS).required(),
  fileName: line.required(),
  words: text.required(),
  rows: Joi.number().integer().min(0).max(4096).required(),
})
/** A key-down on record: how long, W. */
export const keyDown = Joi.object({
  ...inStep,
  chainId: id.allow(null).required(),
  seconds: Joi.number().min(0).max(86400).required(),
  powerW: Joi.number().min(0).max(1e5).required(),
})
/** A note to a step. */
export const note = Joi.object({ ...inStep, text: text.required(), who: line.required() })
/** A picture to a step; its bytes are a record of their own. */
export const picture = Joi.object({
  ...inStep,
  name: line.required(),
  width: Joi.number().integer().min(1).max(10000).required(),
  height: Joi.number().integer().min(1).max(10000).required(),
  bytes: Joi.number().integer().min(1).max(20000000).required(),
})
/** A clip of sound to a step; its bytes are a record of their own. */
export const clip = Joi.object({
  ...inStep,
  name: line.required(),
  words: line.required(),
  sounds: Joi.valid(...CLIP_SOUNDS).required(),
  sampleRateHz: Joi.number().integer().min(1000).max(400_000).required(),
  seconds: Joi.number().min(0).max(3600).required(),
  bytes: Joi.number().integer().min(1).max(MOST_CLIP_BYTES).required(),
  loudnessLufs: Joi.number().min(-200).max(50).allow(null).required(),
  who: line.required(),
})
/** A step left out, and why. */
export const skipped = Joi.object({
  setId: id.required(),
  stepId: stepId.required(),
  reason: line.required(),
  at: time.required(),
})
/** A trace that was brought in; its points are a record of their own. */
export const trace = Joi.object({
  id: id.required(),
  setId: id.required(),
  stepId: Joi.string().min(1).max(300).required(),
  fileName: line.required(),
  sha256: Joi.string().allow('').max(128).required(),
  pointCount: Joi.number().integer().min(1).max(2000000).required(),
  fromHz: hz.required(),
  toHz: hz.required(),
  resolutionBandwidthHz: hz.allow(null).required(),
  keepsHighest: Joi.boolean().required(),
  floorDbm: db.required(),
  chainId: id.required(),
  at: time.required(),
})
/** A reading of the control radio, beside what is known of it. */
export const controlCheck = Joi.object({
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
/** What another tester read in the same place. */
export const otherFigure = Joi.object({
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
