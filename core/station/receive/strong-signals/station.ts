import { answerSteps } from '../../../judging'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { hearingDemands } from '../hearingDemands'
import { TWO_SIGNALS } from '../paths'
import { receiveChecks } from '../receiveChecks'
import { strongSignalsHelp } from './help'
import { evaluateStrongSignals } from './evaluate'
import { coachStrongSignals } from './coaching'
import { STRONG_ID, strongMemo, strongMemoSchema } from './memo'
import { planStrongSignals } from './plan'
import { readsStrongSignals } from './reads'

/** Strong signals: what they take away elsewhere on the band, and whether the set survives one. */
export const strongSignalsStation: Station = Object.freeze({
  id: STRONG_ID,
  version: 1,
  title: 'Strong signals',
  group: 'receive',
  order: 7.4,
  help: strongSignalsHelp,
  optional: 'unless-equipped',
  verdicts: 'judged',
  roles: TWO_SIGNALS,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  memo: { bySet: strongMemoSchema },
  plan: planStrongSignals,
  checks: (step, context) => receiveChecks(step, TWO_SIGNALS, context),
  evaluate: evaluateStrongSignals,
  coach: coachStrongSignals,
  reads: readsStrongSignals,
  demands: (step, context) => hearingDemands(step, { about: 'blocking', claims: ['blocking'] }, context),
  questions: () => [
    onlyQuestion(STRONG_ID, {
      id: 'strong-signals',
      question: 'Does it bear strong signals beside the wanted one?',
      detail: 'blocking at 1 to 10 MHz; survival only with the owner’s consent',
      against: 'claims',
    }),
  ],
  answer: (_question, set, context) =>
    answerSteps(
      planStrongSignals(set, context).map(step => evaluateStrongSignals(step, context)),
      { without: 'Nothing is planned for this set.', lead: 'blocking' },
    ),
  report: figureTables('Strong signals', ({ step }, context) => {
    const { consent } = strongMemo(step.set, context)
    return consent
      ? [
          `Survival up to ${consent.upToDbm} dBm with the consent of ${consent.by || 'the owner'}, ` +
            `${consent.at.slice(0, 10)}.`,
        ]
      : []
  }),
} satisfies Station)
