import { claimDemand } from '../../../judging'
import { stepChecks } from '../../../step'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { twoToneHelp } from './help'
import { answerTwoTone, evaluateTwoTone } from './evaluate'
import { twoToneRecording } from './fromRecording'
import { planTwoTone, TWO_TONE_ID, TWO_TONE_ROLES } from './plan'

/** Two-tone test: peak and mean power and the intermodulation of an SSB transmitter. */
export const twoToneStation: Station = Object.freeze({
  id: TWO_TONE_ID,
  version: 1,
  title: 'Two-tone, SSB',
  group: 'transmit',
  order: 6.6,
  help: twoToneHelp,
  optional: true,
  verdicts: 'judged',
  roles: TWO_TONE_ROLES,
  nothing: 'The two-tone test is for SSB; this set has no SSB band on its card.',
  recording: twoToneRecording,
  plan: planTwoTone,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluateTwoTone,
  demands: step => [claimDemand(step)],
  questions: () => [
    onlyQuestion(TWO_TONE_ID, {
      id: 'imd',
      question: 'How clean is its sideband?',
      detail: 'two tones; products against either tone and against PEP',
      against: 'limits',
    }),
  ],
  answer: answerTwoTone,
  report: figureTables('Two-tone, SSB'),
} satisfies Station)
