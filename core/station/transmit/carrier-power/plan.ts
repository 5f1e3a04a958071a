import { type Context, perRadio } from '../../../context'
import { printClaimW } from '../../../quantity'
import type { RadioSet } from '../../../review'
import {
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
export const CARRIER_POWER_ID = 'carrier-power'

/** Slot of the carrier itself. */
export const CARRIER_SLOT = 'carrier'

/** What the carrier’s power may be read with. */
export const CARRIER_POWER_ROLES: Roles = {
  [INSTRUMENT_ROLE]: {
    title: 'Power meter',
    instruments: ['power-meter', 'spectrum-analyser'],
    signal: 'from-radio',
  },
}

const KEY_DOWN_S = 8
const DURATION_S = 35

/** One step for every claimed band, level and channel. */
export const planCarrierPower = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: CARRIER_POWER_ID,
    roles: CARRIER_POWER_ROLES,
    channels: 'every',
    level: 'every',
    slots: slotsOf,
    instruction: 'Key up, let the reading settle, and type what the instrument shows.',
    radioSettings: [fullSupply(set), SETTINGS.dualWatchOff],
    cautions: ({ claim }) => [
      ...TRANSMIT_CAUTIONS,
      ...(claim.kind === 'watts' ? [`The maker claims ${printClaimW(claim.powerW)} here.`] : []),
    ],
    keyed: { seconds: KEY_DOWN_S },
    durationS: DURATION_S,
    needsFullSupply: true,
  })
})

function slotsOf({ channel: { frequencyHz } }: StepPlace): Slot[] {
  return [
    {
      id: CARRIER_SLOT,
      kind: { is: 'carrier' },
      label: 'carrier',
      frequencyHz,
      field: { as: 'level' },
      role: INSTRUMENT_ROLE,
    },
    {
      id: 'supply-v',
      kind: { is: 'supply', what: 'voltage' },
      label: 'supply voltage, keyed',
      frequencyHz,
      field: { as: 'figure', unit: 'V', min: 0.1, max: 100 },
      role: null,
      optional: true,
    },
    {
      id: 'supply-a',
      kind: { is: 'supply', what: 'current' },
      label: 'supply current, keyed',
      frequencyHz,
      field: { as: 'figure', unit: 'A', min: 0.001, max: 200 },
      role: null,
      optional: true,
    },
  ]
}
