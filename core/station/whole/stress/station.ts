import { stepChecks } from '../../../step'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { stressHelp } from './help'
import { answerStress, evaluateStress } from './evaluate'
import { planStress, STRESS_ID, STRESS_ROLES, stressConsent, stressConsentSchema } from './plan'

/**
 * Stress: long key-down, open and short at the socket, power before and after. Only with the owner’s consent.
 */
export const stressStation: Station = Object.freeze({
  id: STRESS_ID,
  version: 1,
  title: 'Open and short',
  group: 'whole',
  order: 10,
  help: stressHelp,
  optional: true,
  verdicts: 'observed',
  roles: STRESS_ROLES,
  nothing: '',
  memo: { bySet: stressConsentSchema },
  plan: planStress,
  checks: (step, context) => stepChecks(step, context, 1),
  evaluate: evaluateStress,
  demands: () => [],
  questions: () => [
    onlyQuestion(STRESS_ID, {
      id: 'survives',
      question: 'Does it survive open and short?',
      detail: 'with the owner’s consent; power before and after',
      against: 'claims',
    }),
  ],
  answer: answerStress,
  report: figureTables('Open and short', ({ step, words }, context) => {
    const consent = stressConsent(step.set, context)
    return consent ? [`Consent by ${consent.by || 'the owner'}, ${consent.at.slice(0, 10)}. ${words}.`] : []
  }),
} satisfies Station)
