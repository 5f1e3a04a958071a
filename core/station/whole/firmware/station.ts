import { onlyQuestion, type Station } from '../../contract'
import { figureTables } from '../../report/figureTables'
import { firmwareHelp } from './help'
import { answerFirmware, evaluateFirmware } from './evaluate'
import { FIRMWARE_ID, planFirmware } from './plan'

/** Firmware and ranges: versions and locks before and after, where it transmits, who may use that. */
export const firmwareStation: Station = Object.freeze({
  id: FIRMWARE_ID,
  version: 1,
  title: 'Firmware and ranges',
  shortTitle: 'Firmware',
  group: 'whole',
  order: 9.1,
  help: firmwareHelp,
  optional: true,
  verdicts: 'observed',
  roles: {},
  wide: true,
  nothing: 'Nothing is planned yet: put bands and channels on the card.',
  plan: planFirmware,
  checks: () => [],
  evaluate: evaluateFirmware,
  demands: () => [],
  questions: () => [
    onlyQuestion(FIRMWARE_ID, {
      id: 'ranges',
      question: 'Where does it transmit, and who may use that?',
      detail: 'ranges as found, by the bands of service of the rulebooks; observation',
      against: 'limits',
    }),
  ],
  answer: answerFirmware,
  report: figureTables('Firmware and ranges'),
} satisfies Station)
