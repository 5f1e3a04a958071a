import { receiverClaimWords } from '../../../hearing'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { receiveChecks } from '../receiveChecks'
import { audioHelp } from './help'
import { audioClaim } from './claim'
import { answerAudio, evaluateAudio } from './evaluate'
import { AUDIO_ID, AUDIO_ROLES, planAudio } from './plan'
import { readsAudio } from './reads'

/** Audio: power into the rated load, hum and noise, response. */
export const audioStation: Station = Object.freeze({
  id: AUDIO_ID,
  version: 1,
  title: 'Audio',
  group: 'receive',
  order: 7.6,
  help: audioHelp,
  optional: true,
  verdicts: 'judged',
  roles: AUDIO_ROLES,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  plan: planAudio,
  checks: (step, context) => receiveChecks(step, AUDIO_ROLES, context),
  evaluate: evaluateAudio,
  reads: readsAudio,
  demands: ({ set }) => {
    const claim = audioClaim(set)
    return claim
      ? [{ by: 'the maker', words: receiverClaimWords(claim), figure: true }]
      : [{ by: 'the maker', words: 'does not say', figure: false }]
  },
  questions: () => [
    onlyQuestion(AUDIO_ID, {
      id: 'audio-power',
      question: 'Does its speaker get the power that is claimed?',
      detail: 'V²/R into the rated load at 10 % distortion',
      against: 'claims',
    }),
  ],
  answer: answerAudio,
  report: figureTables('Audio'),
} satisfies Station)
