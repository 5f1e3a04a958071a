import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { reachHelp } from './help'
import { answerReach, evaluateReach } from './evaluate'
import { REACH_ID, reachMemo, reachMemoSchema } from './memo'
import { planReach } from './plan'

/** Off-air reception: who was heard, from where, with which radio and antenna, beside the control. */
export const reachStation: Station = Object.freeze({
  id: REACH_ID,
  version: 1,
  title: 'Off-air reception',
  shortTitle: 'Reach',
  group: 'receive',
  order: 7.8,
  help: reachHelp,
  optional: true,
  verdicts: 'observed',
  roles: {},
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  memo: { common: reachMemoSchema },
  plan: planReach,
  checks: () => [],
  evaluate: evaluateReach,
  demands: () => [],
  questions: () => [
    onlyQuestion(REACH_ID, {
      id: 'reach',
      question: 'What does it hear off the air?',
      detail: 'same place and time, beside the control radio; observation',
      against: 'claims',
    }),
  ],
  answer: answerReach,
  report: figureTables('Off-air reception', (_result, context) => {
    const { place } = reachMemo(context)
    return [place ? `Heard at: ${place}.` : 'Nobody said where.']
  }),
} satisfies Station)
