import { ruleDemands } from '../../../judging'
import { stepChecks } from '../../../step'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { RECEIVER_ROLES } from '../receiverRole'
import { bandwidthHelp } from './help'
import { answerBandwidth, evaluateBandwidth } from './evaluate'
import { bandwidthRecording } from './fromRecording'
import { BANDWIDTH_ID, planBandwidth } from './plan'

/** Occupied bandwidth and the power that falls into the adjacent channels. */
export const bandwidthStation: Station = Object.freeze({
  id: BANDWIDTH_ID,
  version: 1,
  title: 'Bandwidth and neighbours',
  shortTitle: 'Bandwidth',
  group: 'transmit',
  order: 6.4,
  help: bandwidthHelp,
  optional: false,
  verdicts: 'judged',
  roles: RECEIVER_ROLES,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  recording: bandwidthRecording,
  plan: planBandwidth,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluateBandwidth,
  demands: (step, context) => [
    ...ruleDemands(step, 'occupied-bandwidth', context),
    ...ruleDemands(step, 'adjacent-power', context),
  ],
  questions: () => [
    onlyQuestion(BANDWIDTH_ID, {
      id: 'keeps-channel',
      question: 'Does it keep to its channel?',
      detail: 'occupied bandwidth and power in the neighbouring channels',
      against: 'limits',
    }),
  ],
  answer: answerBandwidth,
  report: figureTables('Bandwidth and neighbours'),
} satisfies Station)
