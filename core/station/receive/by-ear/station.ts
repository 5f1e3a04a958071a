import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { byEarHelp } from './help'
import { answerByEar, evaluateByEar } from './evaluate'
import { BY_EAR_ID, byEarMemoSchema } from './memo'
import { planByEar } from './plan'

/** By ear: clips kept with the review, and what listeners chose between two radios without knowing which was which. */
export const byEarStation: Station = Object.freeze({
  id: BY_EAR_ID,
  version: 1,
  title: 'By ear',
  group: 'receive',
  order: 7.9,
  help: byEarHelp,
  optional: true,
  verdicts: 'observed',
  roles: {},
  wide: true,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  memo: { bySet: byEarMemoSchema },
  plan: planByEar,
  checks: () => [],
  evaluate: evaluateByEar,
  demands: () => [],
  questions: () => [
    onlyQuestion(BY_EAR_ID, {
      id: 'by-ear',
      question: 'How does it sound?',
      detail: 'clips at one loudness, chosen blind; observation',
      against: 'claims',
    }),
  ],
  answer: answerByEar,
  report: figureTables('By ear'),
} satisfies Station)
