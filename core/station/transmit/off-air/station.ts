import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { offAirHelp } from './help'
import { answerOffAir, evaluateOffAir } from './evaluate'
import { OFF_AIR_ID, offAirGeometry, offAirMemoSchema, planOffAir } from './plan'

/**
 * Off-air comparison: what leaves the supplied antenna at the harmonics, beside other radios at the same
 * place. Never a verdict.
 */
export const offAirStation: Station = Object.freeze({
  id: OFF_AIR_ID,
  version: 1,
  title: 'Off-air comparison',
  shortTitle: 'Off the air',
  group: 'transmit',
  order: 5.5,
  help: offAirHelp,
  optional: true,
  verdicts: 'observed',
  roles: {},
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  memo: { common: offAirMemoSchema },
  plan: planOffAir,
  checks: () => [],
  evaluate: evaluateOffAir,
  demands: () => [],
  questions: () => [
    onlyQuestion(OFF_AIR_ID, {
      id: 'off-air',
      question: 'What leaves its own antenna beside the carrier?',
      detail: 'off the air at a fixed place: compared, never judged',
      against: 'limits',
    }),
  ],
  answer: answerOffAir,
  report: figureTables('Off-air comparison', (_result, context) => {
    const geometry = offAirGeometry(context).replace(/\.$/, '') || 'not written down'
    return [`An observation, never a verdict. Where radio and receive antenna stood: ${geometry}.`]
  }),
} satisfies Station)
