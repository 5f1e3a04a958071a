import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { insideHelp } from './help'
import { answerInside, evaluateInside } from './evaluate'
import { INSIDE_ID, insideMemo, insideMemoSchema } from './memo'
import { planInside } from './plan'

/** Inside: a set that is made to be adjusted, before, while and after somebody did. */
export const insideStation: Station = Object.freeze({
  id: INSIDE_ID,
  version: 1,
  title: 'Inside the set',
  shortTitle: 'Inside',
  group: 'whole',
  order: 9.8,
  help: insideHelp,
  optional: true,
  verdicts: 'observed',
  roles: {},
  wide: true,
  nothing: '',
  memo: { bySet: insideMemoSchema },
  plan: planInside,
  checks: () => [],
  evaluate: evaluateInside,
  demands: () => [],
  questions: () => [
    onlyQuestion(INSIDE_ID, {
      id: 'adjusted',
      question: 'What was adjusted inside it?',
      detail: 'before, while and after, by the readings of power and deviation; observation',
      against: 'claims',
    }),
  ],
  answer: answerInside,
  report: figureTables('Inside the set', ({ step }, context) => {
    const memo = insideMemo(step.set, context)
    return memo ? [`Adjusted by ${memo.by}, ${memo.begunAt.slice(0, 10)}.`] : []
  }),
} satisfies Station)
