import { printNumber, UNIT_SPACE } from '../../../quantity'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { batteryHelp } from './help'
import { labelledAh } from './capacity'
import { answerBattery, evaluateBattery, HOLDS_LABEL } from './evaluate'
import { BATTERY_ID, batteryMemoSchema } from './memo'
import { planBattery } from './plan'
import { readsBattery } from './reads'

/** Battery and supply: what the set draws in each state, what the pack holds, how long a charge lasts. */
export const batteryStation: Station = Object.freeze({
  id: BATTERY_ID,
  version: 1,
  title: 'Battery and supply',
  shortTitle: 'Battery',
  group: 'whole',
  order: 9.2,
  help: batteryHelp,
  optional: true,
  verdicts: 'judged',
  roles: {},
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  memo: { common: batteryMemoSchema },
  plan: planBattery,
  checks: () => [],
  evaluate: evaluateBattery,
  reads: readsBattery,
  demands: ({ set }) => {
    const labelAh = labelledAh(set.battery)
    return labelAh === null
      ? []
      : [{ by: 'the label', words: `${printNumber(labelAh, 2)}${UNIT_SPACE}Ah`, figure: true }]
  },
  questions: () => [
    onlyQuestion(BATTERY_ID, {
      id: HOLDS_LABEL,
      question: 'Does its battery hold what the label says?',
      detail: 'by a discharge',
      against: 'claims',
    }),
    onlyQuestion(BATTERY_ID, {
      id: 'lasts',
      question: 'How long does it last on a charge?',
      detail: '5 % keyed, 5 % receiving, the rest waiting; observation',
      against: 'claims',
    }),
  ],
  answer: answerBattery,
  report: figureTables('Battery and supply'),
} satisfies Station)
