import { onlyQuestion, type Station } from '../../contract'
import { GENERATOR, ONE_SIGNAL } from '../../receive/paths'
import { receiveChecks } from '../../receive/receiveChecks'
import { figureTables } from '../../report/figureTables'
import { displayHelp } from './help'
import { answerDisplay, evaluateDisplay } from './evaluate'
import { DISPLAY_ID, DISPLAY_ROLES, planDisplay } from './plan'

/** Display: whether its bar moves with power and with signal, and what an S-step of it really is. */
export const displayStation: Station = Object.freeze({
  id: DISPLAY_ID,
  version: 1,
  title: 'Display',
  group: 'whole',
  order: 9.6,
  help: displayHelp,
  optional: true,
  verdicts: 'observed',
  roles: DISPLAY_ROLES,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  valueHead: 'At socket',
  plan: planDisplay,
  checks: (step, context) =>
    step.work === 'hears' ? receiveChecks(step, { [GENERATOR]: ONE_SIGNAL[GENERATOR]! }, context) : [],
  evaluate: evaluateDisplay,
  demands: () => [],
  questions: () => [
    onlyQuestion(DISPLAY_ID, {
      id: 'display',
      question: 'Does its display measure, or only shine?',
      detail: 'bars against power, S-steps against −93 dBm and 6 dB; observation',
      against: 'claims',
    }),
  ],
  answer: answerDisplay,
  report: figureTables('Display'),
} satisfies Station)
