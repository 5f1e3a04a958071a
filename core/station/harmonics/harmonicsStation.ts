import { takenSchema } from '../../review'
import type { Station } from '../contract'
import { stepChecks } from '../stepChecks'
import { answerHarmonics, harmonicsQuestions } from './answerHarmonics'
import { evaluateHarmonics } from './evaluateHarmonics'
import { HARMONICS_ID, HIGHEST_HARMONIC, planHarmonics } from './planHarmonics'

/** Harmonics: what leaves the socket at whole multiples of the carrier, against the limit in law. */
export const harmonicsStation = Object.freeze({
  id: HARMONICS_ID,
  version: 1,
  title: 'Harmonics and spurs',
  order: 5,
  readingSchema: takenSchema,
  optional: false,
  judgedBy: ['unwanted'],
  plan: planHarmonics,
  checks: (step, context) => stepChecks(step, context, HIGHEST_HARMONIC),
  evaluate: evaluateHarmonics,
  questions: harmonicsQuestions,
  answer: answerHarmonics,
} as const satisfies Station)
