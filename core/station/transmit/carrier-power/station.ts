import { claimDemand, ruleDemands } from '../../../judging'
import { stepChecks } from '../../../step'
import type { Station } from '../../contract'
import { carrierPowerHelp } from './help'
import { answerCarrierPower, carrierPowerQuestions } from './answer'
import { evaluateCarrierPower } from './evaluate'
import { CARRIER_POWER_ID, CARRIER_POWER_ROLES, planCarrierPower } from './plan'
import { plotCarrierPower } from './plots'
import { reportCarrierPower } from './report'

/** Carrier power: what the radio makes at its socket, against what its maker claims. */
export const carrierPowerStation: Station = Object.freeze({
  id: CARRIER_POWER_ID,
  version: 1,
  title: 'Carrier power',
  group: 'transmit',
  order: 4,
  letter: 'p',
  help: carrierPowerHelp,
  optional: false,
  verdicts: 'judged',
  roles: CARRIER_POWER_ROLES,
  nothing: 'Nothing is planned yet: put bands, channels and claims on the card.',
  plan: planCarrierPower,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluateCarrierPower,
  demands: (step, context) => [
    claimDemand(step),
    ...ruleDemands(step, 'carrier-power', context),
    ...ruleDemands(step, 'power-tolerance', context).filter(({ figure }) => figure),
  ],
  questions: carrierPowerQuestions,
  answer: answerCarrierPower,
  report: reportCarrierPower,
  plots: plotCarrierPower,
} satisfies Station)
