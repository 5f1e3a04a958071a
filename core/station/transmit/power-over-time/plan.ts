import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import {
  type FieldSpec,
  fullSupply,
  INSTRUMENT_ROLE,
  planSteps,
  type Roles,
  SETTINGS,
  type Slot,
  type Step,
  type StepPlace,
  TRANSMIT_CAUTIONS,
} from '../../../step'

/** Identity of the station, as readings are stored under it. */
export const POWER_OVER_TIME_ID = 'power-over-time'

/** What power over time may be read with. */
export const POWER_OVER_TIME_ROLES: Roles = {
  [INSTRUMENT_ROLE]: {
    title: 'Power meter',
    instruments: ['power-meter', 'spectrum-analyser'],
    signal: 'from-radio',
  },
}

/** Moments of the log, s: close together while the power moves. */
export const LOG_MOMENTS_S = [0, 10, 20, 30, 45, 60, 90, 120, 150, 180, 210, 240, 270, 300] as const

/** Moments after this one are read if wished, s. */
const ASKED_UP_TO_S = 60

/** What is usual over five minutes, dB (common practice, no source). */
export const USUAL_DROOP_DB = 0.3

const KEY_DOWN_S = 300

const VOLTS: FieldSpec = { as: 'figure', unit: 'V', min: 0, max: 100 }
const DEGREES: FieldSpec = { as: 'figure', unit: '°C', min: -60, max: 200 }

/** What is noted down at the beginning and at the end. */
const NOTED = [
  { id: 'battery-start', label: 'Battery, start', field: VOLTS },
  { id: 'battery-end', label: 'Battery, end', field: VOLTS },
  { id: 'case-start', label: 'Case, start', field: DEGREES },
  { id: 'case-end', label: 'Case, end', field: DEGREES },
] as const

/** Slot of the time after which the set ends a transmission by itself. */
export const TIME_OUT_SLOT = 'time-out'

/** One step a channel at high power: a log of five minutes, battery and case. */
export const planPowerOverTime = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: POWER_OVER_TIME_ID,
    roles: POWER_OVER_TIME_ROLES,
    level: 'highest',
    keyed: { seconds: KEY_DOWN_S },
    durationS: 480,
    needsFullSupply: true,
    slots: slotsOf,
    instruction: 'Key down and log the power until the clock asks for rest, five minutes at most.',
    radioSettings: [fullSupply(set), SETTINGS.timeOutOff, SETTINGS.dualWatchOff],
    cautions: [
      ...TRANSMIT_CAUTIONS,
      'Five minutes keyed heat the case, the load and the pads: hands off, and stop at any smell.',
    ],
  })
})

function slotsOf({ channel: { frequencyHz } }: StepPlace): Slot[] {
  const noted = NOTED.map(({ id, label, field }): Slot => ({
    id,
    kind: { is: 'noted' },
    label,
    frequencyHz,
    field,
    role: null,
    optional: true,
  }))
  const timeOut: Slot = {
    id: TIME_OUT_SLOT,
    kind: { is: 'time-out' },
    label: 'Ends by itself after, as delivered',
    frequencyHz,
    field: { as: 'figure', unit: 's', min: 1, max: 3600, placeholder: 's' },
    role: null,
    optional: true,
  }
  return [...LOG_MOMENTS_S.map(seconds => momentSlot(seconds, frequencyHz)), ...noted, timeOut]
}

/** Slot of a moment of the log, s after key-down. */
export const momentSlotId = (seconds: number): string => `t${seconds}`

/** A slot of the log. */
function momentSlot(seconds: number, frequencyHz: number): Slot {
  return {
    id: momentSlotId(seconds),
    kind: { is: 'moment', atS: seconds },
    label: `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`,
    frequencyHz,
    field: { as: 'level' },
    role: INSTRUMENT_ROLE,
    optional: seconds > ASKED_UP_TO_S,
  }
}
