import { ruleDemands } from '../../../judging'
import { stepChecks } from '../../../step'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { RECEIVER_ROLES } from '../receiverRole'
import { deviationHelp } from './help'
import { answerDeviation, evaluateDeviation } from './evaluate'
import { deviationRecording } from './fromRecording'
import { DEVIATION_ID, planDeviation } from './plan'
import { readsDeviation } from './reads'

/**
 * Deviation: how far the carrier swings with a normal tone, with the loudest voice, and with the tone
 * squelch.
 */
export const deviationStation: Station = Object.freeze({
  id: DEVIATION_ID,
  version: 1,
  title: 'Deviation',
  group: 'transmit',
  order: 6,
  letter: 'd',
  help: deviationHelp,
  optional: false,
  verdicts: 'judged',
  roles: RECEIVER_ROLES,
  nothing: 'Deviation is measured on FM bands; this set has none on its card.',
  recording: deviationRecording,
  plan: planDeviation,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluateDeviation,
  reads: readsDeviation,
  demands: (step, context) => ruleDemands(step, 'deviation', context),
  questions: () => [
    onlyQuestion(DEVIATION_ID, {
      id: 'deviation',
      question: 'Does its deviation stay within its channel?',
      detail: 'normal tone and loudest voice',
      against: 'limits',
    }),
  ],
  answer: answerDeviation,
  report: figureTables('Deviation'),
} satisfies Station)
