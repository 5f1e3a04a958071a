import { answerSteps } from '../../../judging'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { hearingDemands } from '../hearingDemands'
import { TWO_SIGNALS } from '../paths'
import { receiveChecks } from '../receiveChecks'
import { neighbourHelp } from './help'
import { coachNeighbour } from './coaching'
import { evaluateNeighbour } from './evaluate'
import { NEIGHBOUR_ID, planNeighbour } from './plan'
import { plotNeighbour } from './plots'
import { readsNeighbour } from './reads'

/** Neighbour channel: how strong another may be beside it, by two generators or by one. */
export const neighbourStation: Station = Object.freeze({
  id: NEIGHBOUR_ID,
  version: 1,
  title: 'Neighbour channel',
  group: 'receive',
  order: 7.3,
  letter: 'n',
  help: neighbourHelp,
  optional: 'unless-equipped',
  verdicts: 'judged',
  roles: TWO_SIGNALS,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  plan: planNeighbour,
  checks: (step, context) => receiveChecks(step, TWO_SIGNALS, context),
  evaluate: evaluateNeighbour,
  reads: readsNeighbour,
  coach: coachNeighbour,
  demands: (step, context) =>
    hearingDemands(step, { about: 'adjacent-selectivity', claims: ['selectivity'] }, context),
  questions: () => [
    onlyQuestion(NEIGHBOUR_ID, {
      id: 'neighbour',
      question: 'How well does it keep its neighbours out?',
      detail: 'both sides, the lower counts; with the generator’s own noise as a ceiling',
      against: 'claims',
    }),
  ],
  answer: (_question, set, context) =>
    answerSteps(
      planNeighbour(set, context).map(step => evaluateNeighbour(step, context)),
      { without: 'Nothing is planned for this set.', lead: 'rejection-tia' },
    ),
  report: figureTables('Neighbour channel'),
  plots: plotNeighbour,
} satisfies Station)
