import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { labelsHelp } from './help'
import { answerLabels, evaluateLabels } from './evaluate'
import { LABELS_ID, planLabels } from './plan'

/** Labels and papers: approval numbers, labels and manual against each other. */
export const labelsStation: Station = Object.freeze({
  id: LABELS_ID,
  version: 1,
  title: 'Labels and papers',
  shortTitle: 'Labels',
  group: 'whole',
  order: 9,
  help: labelsHelp,
  optional: true,
  verdicts: 'judged',
  roles: {},
  wide: true,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  plan: planLabels,
  checks: () => [],
  evaluate: evaluateLabels,
  demands: () => [],
  questions: () => [
    onlyQuestion(LABELS_ID, {
      id: 'labels',
      question: 'Do its labels and papers agree?',
      detail: 'approval number on box, body and in the menu; battery; manual against box',
      against: 'claims',
    }),
  ],
  answer: answerLabels,
  report: figureTables('Labels and papers'),
} satisfies Station)
