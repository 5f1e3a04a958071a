import Joi from 'joi'
import type { Context } from '#core/context'
import { answerSteps, evaluateSlots, figureIn, observedFigure, openSlot } from '#core/judging'
import { printDb } from '#core/quantity'
import type { RadioSet } from '#core/review'
import type { Station } from '#core/station'
import { planSteps, type Roles, type Slot, type Step } from '#core/step'

const ID = 'toy-hum'

const ROLES: Roles = {
  instrument: { title: 'Generator', instruments: ['spectrum-analyser'], signal: 'to-radio' },
}

const SLOT: Omit<Slot, 'frequencyHz'> = {
  id: 'hum',
  kind: { is: 'hum' },
  label: 'Hum and noise',
  field: { as: 'figure', unit: 'dB', min: 0, max: 120 },
  role: null,
}

const plan = (set: RadioSet, context: Context) =>
  planSteps(set, context, {
    stationId: ID,
    roles: ROLES,
    level: 'highest',
    keyed: null,
    durationS: 60,
    slots: ({ channel: { frequencyHz } }) => [{ ...SLOT, frequencyHz }],
    instruction: 'Squelch open, no modulation: read the hum.',
    radioSettings: [],
    cautions: [],
  })

const evaluate = (step: Step, context: Context) =>
  evaluateSlots(step, {
    slot: slot => {
      const reading = figureIn(step, slot, context)
      if (!reading) return openSlot(step, slot, context)
      return observedFigure(slot, reading, { words: `${printDb(reading.seen.value)} of hum` }, context)
    },
  })

/** A station nobody else has heard of: the whole of it is in this file. */
export const toyStation: Station = {
  id: ID,
  version: 1,
  title: 'Hum of the toy',
  group: 'receive',
  order: 7.5,
  letter: 'y',
  optional: false,
  verdicts: 'observed',
  roles: ROLES,
  nothing: 'Nothing hums yet.',
  memo: { bySet: Joi.object({ ear: Joi.string().max(20).required() }) },
  plan,
  checks: () => [],
  evaluate,
  demands: () => [],
  questions: () => [
    {
      id: 'hum',
      stationId: ID,
      question: 'Does it hum?',
      detail: 'squelch open',
      against: 'claims',
      bandName: null,
      yardstick: false,
    },
  ],
  answer: (_question, set, context) =>
    answerSteps(
      plan(set, context).map(step => evaluate(step, context)),
      { without: 'No channel.', lead: 'hum' },
    ),
  report: results => [
    { kind: 'paragraph', text: `Hum read at ${results.length} ${results.length === 1 ? 'step' : 'steps'}.` },
  ],
}
