import { claimDemand } from '../../../judging'
import { stepChecks } from '../../../step'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { droopOf } from './droop'
import { answerPowerOverTime, droopFullWords, evaluatePowerOverTime, HOLDS } from './evaluate'
import { planPowerOverTime, POWER_OVER_TIME_ID, POWER_OVER_TIME_ROLES } from './plan'

/** Power over time: how far the power falls while the radio is kept keyed. */
export const powerOverTimeStation: Station = Object.freeze({
  id: POWER_OVER_TIME_ID,
  version: 1,
  title: 'Power over time',
  group: 'transmit',
  order: 4.5,
  optional: true,
  verdicts: 'judged',
  roles: POWER_OVER_TIME_ROLES,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  valueHead: 'At socket',
  plan: planPowerOverTime,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluatePowerOverTime,
  demands: step => [claimDemand(step)],
  questions: () => [
    onlyQuestion(POWER_OVER_TIME_ID, {
      id: HOLDS,
      question: 'Does its power hold when it is kept keyed?',
      detail: 'observation',
      against: 'claims',
    }),
    onlyQuestion(POWER_OVER_TIME_ID, {
      id: 'claim-at-end',
      question: 'Does it still make its watts at the end?',
      detail: 'last moment of the log, against the claim',
      against: 'claims',
    }),
  ],
  answer: answerPowerOverTime,
  report: figureTables('Power over time', ({ slots }) => {
    const droop = droopOf(slots)
    return droop ? [droopFullWords(droop)] : []
  }),
} satisfies Station)
