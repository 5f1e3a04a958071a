import { takenSchema } from '../../review'
import type { Station } from '../contract'
import { stepChecks } from '../stepChecks'
import { answerCarrierPower, carrierPowerQuestions } from './answerCarrierPower'
import { evaluateCarrierPower } from './evaluateCarrierPower'
import { CARRIER_POWER_ID, planCarrierPower } from './planCarrierPower'

/** Carrier power: what the radio makes at its socket, against what its maker claims. */
export const carrierPowerStation = Object.freeze({
  id: CARRIER_POWER_ID,
  version: 1,
  title: 'Carrier power',
  order: 4,
  readingSchema: takenSchema,
  optional: false,
  judgedBy: ['claim', 'carrier-power'],
  plan: planCarrierPower,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluateCarrierPower,
  questions: carrierPowerQuestions,
  answer: answerCarrierPower,
} as const satisfies Station)
