import { answerSteps } from '../../../judging'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { hearingDemands } from '../hearingDemands'
import { ONE_SIGNAL } from '../paths'
import { receiveChecks } from '../receiveChecks'
import { squelchHelp } from './help'
import { evaluateSquelch } from './evaluate'
import { planSquelch, SQUELCH_ID } from './plan'
import { readsSquelch } from './reads'

/** Squelch: where it opens, where it closes, what lies between. */
export const squelchStation: Station = Object.freeze({
  id: SQUELCH_ID,
  version: 1,
  title: 'Squelch',
  group: 'receive',
  order: 7.2,
  letter: 'q',
  help: squelchHelp,
  optional: 'unless-equipped',
  verdicts: 'judged',
  roles: ONE_SIGNAL,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  plan: planSquelch,
  checks: (step, context) => receiveChecks(step, ONE_SIGNAL, context),
  evaluate: evaluateSquelch,
  reads: readsSquelch,
  demands: (step, context) => hearingDemands(step, { about: 'hysteresis', claims: [] }, context),
  questions: () => [
    onlyQuestion(SQUELCH_ID, {
      id: 'squelch',
      question: 'Does its squelch open on weak signals, and not chatter?',
      detail: 'opening and closing in rounds, hysteresis',
      against: 'claims',
    }),
  ],
  answer: (_question, set, context) =>
    answerSteps(
      planSquelch(set, context).map(step => evaluateSquelch(step, context)),
      { without: 'Nothing is planned for this set.', lead: 'hysteresis' },
    ),
  report: figureTables('Squelch'),
} satisfies Station)
