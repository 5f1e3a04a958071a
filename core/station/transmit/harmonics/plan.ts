import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import {
  ANALYSER_CAUTIONS,
  INSTRUMENT_ROLE,
  planSteps,
  type Roles,
  SETTINGS,
  type Step,
  TRANSMIT_CAUTIONS,
} from '../../../step'
import { harmonicSlots } from './harmonicSlots'

/** Identity of the station, as readings are stored under it. */
export const HARMONICS_ID = 'harmonics'

/** What harmonics may be read with. */
export const HARMONICS_ROLES: Roles = {
  [INSTRUMENT_ROLE]: { title: 'Analyser', instruments: ['spectrum-analyser'], signal: 'from-radio' },
}

const KEY_DOWN_S = 40
const DURATION_S = 180

/** One step for every band and level on the channels chosen for harmonics, up to ×10. */
export const planHarmonics = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: HARMONICS_ID,
    roles: HARMONICS_ROLES,
    channels: 'only-chosen',
    level: 'every',
    slots: ({ channel: { frequencyHz } }) => harmonicSlots(frequencyHz),
    instruction: 'Ambient first, unkeyed. Then key up, let three sweeps pass, and read each peak.',
    radioSettings: [SETTINGS.toneOff, SETTINGS.dualWatchOff, SETTINGS.timeOutOff],
    cautions: [...ANALYSER_CAUTIONS, ...TRANSMIT_CAUTIONS],
    keyed: { seconds: KEY_DOWN_S },
    durationS: DURATION_S,
    needsFullSupply: true,
  })
})
