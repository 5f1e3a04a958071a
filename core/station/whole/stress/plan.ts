import Joi from 'joi'
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
export const STRESS_ID = 'stress'

/** What power before and after open and short may be read with. */
export const STRESS_ROLES: Roles = {
  [INSTRUMENT_ROLE]: {
    title: 'Power meter',
    instruments: ['power-meter', 'spectrum-analyser'],
    signal: 'from-radio',
  },
}

/** The owner accepts that open and short may damage the set: who said so, and when. */
export interface StressConsent {
  by: string
  at: string
}

/** What the station keeps for a set: who allowed it to be keyed into open and short, and when. */
export const stressConsentSchema = Joi.object<StressConsent>({
  by: Joi.string().allow('').max(400).required(),
  at: Joi.string().isoDate().required(),
})

/** The owner’s consent for a set; null where none is on record. */
export function stressConsent(set: Pick<RadioSet, 'id'>, context: Context): StressConsent | null {
  const { error, value } = stressConsentSchema.validate(context.memoOf(STRESS_ID, set.id))
  return error || !value ? null : value
}

const LEVEL: FieldSpec = { as: 'level' }
const DONE: FieldSpec = { as: 'mark' }
const SECOND: FieldSpec = { as: 'figure', unit: 'dBm', min: -200, max: 60 }

const SLOTS = [
  { id: 'before', label: 'Power before', field: LEVEL },
  { id: 'x2-before', label: '×2 before', field: SECOND },
  { id: 'long', label: 'Five minutes into 50 Ω', field: DONE },
  { id: 'open', label: 'Open at the socket, 5 s', field: DONE },
  { id: 'short', label: 'Short at the socket, 5 s', field: DONE },
  { id: 'after', label: 'Power after', field: LEVEL },
  { id: 'x2-after', label: '×2 after', field: SECOND },
] as const

/** Planned only for a set whose owner accepts the risk. */
export const planStress = perRadio((set: RadioSet, context: Context): Step[] => {
  if (stressConsent(set, context) === null) return []
  return planSteps(set, context, {
    stationId: STRESS_ID,
    roles: STRESS_ROLES,
    level: 'highest',
    keyed: { seconds: 310 },
    durationS: 900,
    needsFullSupply: true,
    slots: slotsOf,
    instruction:
      'Power before; five minutes keyed into 50 Ω, with the rests the clock asks for; then open, ' +
      'then short, five seconds each; power after, through the same chain.',
    radioSettings: [fullSupply(set), SETTINGS.timeOutOff],
    cautions: [
      ...TRANSMIT_CAUTIONS,
      'Open and short may destroy the final stage. Only with the owner’s consent, which is on record with its date.',
      'Disconnect meter and analyser before open and short: they are not in the path then.',
    ],
  })
})

function slotsOf({ channel: { frequencyHz } }: StepPlace): Slot[] {
  return SLOTS.map(({ id, label, field }) => ({
    id,
    kind: { is: id },
    label,
    frequencyHz: field === SECOND ? 2 * frequencyHz : frequencyHz,
    field,
    role: field === LEVEL ? INSTRUMENT_ROLE : null,
    optional: field === SECOND,
  }))
}
