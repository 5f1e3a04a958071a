import { ruleDemands } from '../../../judging'
import { stepChecks } from '../../../step'
import type { Station } from '../../contract'
import { harmonicsHelp } from './help'
import { answerHarmonics, harmonicsQuestions } from './answer'
import { evaluateHarmonics } from './evaluate'
import { HIGHEST_HARMONIC } from './harmonicSlots'
import { HARMONICS_ID, HARMONICS_ROLES, planHarmonics } from './plan'
import { plotHarmonics } from './plots'
import { harmonicsRemarks } from './remarks'
import { reportHarmonics } from './report'

/** Harmonics: what leaves the socket at whole multiples of the carrier, against the limit in law. */
export const harmonicsStation: Station = Object.freeze({
  id: HARMONICS_ID,
  version: 1,
  title: 'Harmonics and spurs',
  shortTitle: 'Harmonics, spurs',
  group: 'transmit',
  order: 5,
  letter: 'h',
  help: harmonicsHelp,
  optional: false,
  verdicts: 'judged',
  neededToKey: true,
  roles: HARMONICS_ROLES,
  nothing:
    'Nothing is planned yet. Harmonics are measured on the channels ticked for them, ' +
    'at every claimed level: put those on the card.',
  plan: planHarmonics,
  checks: (step, context) => stepChecks(step, context, HIGHEST_HARMONIC),
  evaluate: evaluateHarmonics,
  demands: (step, context) => ruleDemands(step, 'unwanted', context),
  questions: harmonicsQuestions,
  answer: answerHarmonics,
  report: reportHarmonics,
  plots: plotHarmonics,
  remarks: harmonicsRemarks,
} satisfies Station)
