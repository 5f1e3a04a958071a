import { printFrequencyShort, printVswr } from '../../../quantity'
import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { antennaHelp } from './help'
import { answerAntenna, antennaAt, evaluateAntenna, USUAL_VSWR } from './evaluate'
import { ANTENNA_ID, antennaMemoSchema } from './memo'
import { planAntenna } from './plan'
import { antennaRemarks } from './remarks'
import { readsAntenna } from './reads'

/** Antenna: its match at each channel, where it is best, what it sends back, against label and other antennas. */
export const antennaStation: Station = Object.freeze({
  id: ANTENNA_ID,
  version: 1,
  title: 'Antenna',
  group: 'whole',
  order: 9.4,
  help: antennaHelp,
  optional: true,
  verdicts: 'judged',
  roles: {},
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  memo: { bySet: antennaMemoSchema },
  plan: planAntenna,
  checks: () => [],
  evaluate: evaluateAntenna,
  reads: readsAntenna,
  demands: (step, context) => {
    const antenna = antennaAt(step, context)
    if (!antenna?.labelHz) return []
    const [fromHz, toHz] = antenna.labelHz
    const words =
      `${printVswr(antenna.labelVswr ?? USUAL_VSWR)} from ${printFrequencyShort(fromHz)} to ` +
      `${printFrequencyShort(toHz)}`
    return [{ by: 'its label', words, figure: true }]
  },
  questions: () => [
    onlyQuestion(ANTENNA_ID, {
      id: 'matched',
      question: 'Is its antenna matched where it is used?',
      detail: 'worst channel, held as in use; against its label',
      against: 'claims',
    }),
  ],
  answer: answerAntenna,
  report: figureTables('Antenna', ({ step }, context) => {
    const antenna = antennaAt(step, context)
    return antenna?.held ? [`Held: ${antenna.held}.`] : ['Nobody said how it was held.']
  }),
  remarks: antennaRemarks,
} satisfies Station)
