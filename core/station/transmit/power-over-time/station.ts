import type { Context } from '../../../context'
import { claimDemand, ruleDemands } from '../../../judging'
import type { RadioSet } from '../../../review'
import { stepChecks } from '../../../step'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { powerOverTimeHelp } from './help'
import { droopOf } from './droop'
import { answerPowerOverTime, droopFullWords, evaluatePowerOverTime, HOLDS, TIME_OUT } from './evaluate'
import { planPowerOverTime, POWER_OVER_TIME_ID, POWER_OVER_TIME_ROLES } from './plan'
import { plotPowerOverTime } from './plots'
import { readsPowerOverTime } from './reads'

/** Power over time: how far the power falls while the radio is kept keyed. */
export const powerOverTimeStation: Station = Object.freeze({
  id: POWER_OVER_TIME_ID,
  version: 1,
  title: 'Power over time',
  group: 'transmit',
  order: 4.5,
  help: powerOverTimeHelp,
  optional: true,
  verdicts: 'judged',
  roles: POWER_OVER_TIME_ROLES,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  valueHead: 'At socket',
  plan: planPowerOverTime,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluatePowerOverTime,
  reads: readsPowerOverTime,
  demands: (step, context) => [
    claimDemand(step),
    ...ruleDemands(step, 'time-out', context).filter(({ figure }) => figure),
  ],
  questions: (sets, context) => [
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
    ...(asksForTimeOut(sets, context)
      ? [
          onlyQuestion(POWER_OVER_TIME_ID, {
            id: TIME_OUT,
            question: 'Does its time-out end a long transmission?',
            detail: 'as delivered, against the rulebooks that ask for one',
            against: 'limits',
          }),
        ]
      : []),
  ],
  answer: answerPowerOverTime,
  report: figureTables('Power over time', ({ slots }, context) => {
    const droop = droopOf(slots, context.review.keyDowns)
    return droop ? [droopFullWords(droop)] : []
  }),
  plots: plotPowerOverTime,
} satisfies Station)

/** True where a rulebook of any band has a figure for a time-out. */
function asksForTimeOut(sets: readonly RadioSet[], context: Context): boolean {
  return sets.some(({ bands }) =>
    bands.some(band =>
      context
        .rulebooksOf(band)
        .some(({ clauses }) =>
          clauses.some(clause => clause.about === 'time-out' && clause.confidence !== 'L'),
        ),
    ),
  )
}
