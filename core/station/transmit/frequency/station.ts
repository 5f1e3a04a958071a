import { ruleDemands } from '../../../judging'
import { stepChecks } from '../../../step'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { RECEIVER_ROLES } from '../receiverRole'
import { frequencyHelp } from './help'
import { answerFrequency, evaluateFrequency } from './evaluate'
import { frequencyRecording } from './fromRecording'
import { FREQUENCY_ID, planFrequency } from './plan'
import { readsFrequency } from './reads'

/** Frequency error: how far the carrier stands from its channel, cold and warm. */
export const frequencyStation: Station = Object.freeze({
  id: FREQUENCY_ID,
  version: 1,
  title: 'Frequency error',
  group: 'transmit',
  order: 6.2,
  help: frequencyHelp,
  optional: false,
  verdicts: 'judged',
  roles: RECEIVER_ROLES,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  valueHead: 'Error',
  wide: true,
  recording: frequencyRecording,
  plan: planFrequency,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluateFrequency,
  reads: readsFrequency,
  demands: (step, context) => ruleDemands(step, 'frequency-error', context),
  questions: () => [
    onlyQuestion(FREQUENCY_ID, {
      id: 'on-frequency',
      question: 'Is it on frequency?',
      detail: 'cold and warm, with the reference’s own doubt',
      against: 'limits',
    }),
  ],
  answer: answerFrequency,
  report: figureTables('Frequency error'),
} satisfies Station)
