import { hearingDemands } from '../hearingDemands'
import { answerSteps } from '../../../judging'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { ONE_SIGNAL } from '../paths'
import { receiveChecks } from '../receiveChecks'
import { sensitivityHelp } from './help'
import { coachSensitivity } from './coaching'
import { evaluateSensitivity } from './evaluate'
import { planSensitivity, SENSITIVITY_ID, sensitivityMemoSchema } from './plan'
import { plotSensitivity } from './plots'
import { readsSensitivity } from './reads'

/** Sensitivity: how little a radio still hears, from a curve through a few readings. */
export const sensitivityStation: Station = Object.freeze({
  id: SENSITIVITY_ID,
  version: 1,
  title: 'Sensitivity',
  group: 'receive',
  order: 7.1,
  letter: 'e',
  help: sensitivityHelp,
  optional: 'unless-equipped',
  verdicts: 'judged',
  roles: ONE_SIGNAL,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  memo: { common: sensitivityMemoSchema },
  plan: planSensitivity,
  checks: (step, context) => receiveChecks(step, ONE_SIGNAL, context),
  evaluate: evaluateSensitivity,
  reads: readsSensitivity,
  coach: coachSensitivity,
  demands: (step, context) =>
    hearingDemands(step, { about: 'sensitivity', claims: ['sinad-12', 'sinad-20', 'snr-10'] }, context),
  questions: () => [
    onlyQuestion(SENSITIVITY_ID, {
      id: 'sensitivity',
      question: 'How little does it still hear?',
      detail: '12 dB SINAD, or 10 dB (S+N)/N, at the socket',
      against: 'claims',
    }),
  ],
  answer: (_question, set, context) =>
    answerSteps(
      planSensitivity(set, context).map(step => evaluateSensitivity(step, context)),
      { without: 'Nothing is planned for this set.', lead: 'sinad-12' },
    ),
  report: figureTables('Sensitivity'),
  plots: plotSensitivity,
} satisfies Station)
