import Joi from 'joi'
import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import { planSteps, SETTINGS, type Slot, type Step, type StepPlace } from '../../../step'

/** Identity of the station, as readings are stored under it. */
export const OFF_AIR_ID = 'off-air'

/** Harmonics looked at off the air; a receive antenna stands between, so no chain leads to the analyser. */
export const OFF_AIR_HIGHEST = 5

/** Harmonics above this one are read if wished. */
const ASKED_UP_TO = 3

/** Where radio and receive antenna stand: the same for all radios. */
export interface OffAirMemo {
  geometry: string
}

/** What the station keeps for the whole review: how radios and antenna stood. */
export const offAirMemoSchema = Joi.object<OffAirMemo>({
  geometry: Joi.string().allow('').max(8000).required(),
})

/** Where radio and receive antenna stand; empty where nobody wrote it down. */
export function offAirGeometry(context: Context): string {
  const { error, value } = offAirMemoSchema.validate(context.memo(OFF_AIR_ID))
  return error || !value ? '' : value.geometry
}

const CAUTIONS = [
  'You transmit on the air here: only on a frequency, ' +
    'at a power and with an identification your licence or the service allows, briefly, and where it disturbs nobody.',
  'Keep the antenna away from eyes and body at high power.',
  'The receive antenna feeds the analyser: begin with padding, and look at the level before you come closer.',
]

/** One step a channel with the supplied antenna: what is there unkeyed, then keyed. */
export const planOffAir = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: OFF_AIR_ID,
    roles: {},
    level: 'highest',
    keyed: { seconds: 20 },
    durationS: 180,
    slots: place => {
      const numbers = Array.from({ length: OFF_AIR_HIGHEST }, (_unused, i) => i + 1)
      return [...numbers.map(n => ambientSlot(place, n)), ...numbers.map(n => keyedSlot(place, n))]
    },
    instruction:
      'Ambient first, unkeyed; then key up at the fixed place and read the carrier and its harmonics ' +
      'as the analyser shows them.',
    radioSettings: [SETTINGS.antenna, SETTINGS.toneOff, SETTINGS.dualWatchOff],
    cautions: CAUTIONS,
  })
})

function ambientSlot(place: StepPlace, n: number): Slot {
  const label = n === 1 ? 'Ambient at the carrier' : `Ambient at ×${n}`
  return { ...shown(place, n), id: `a${n}`, kind: { is: 'ambient', n }, label, optional: true }
}

function keyedSlot(place: StepPlace, n: number): Slot {
  const label = n === 1 ? 'Carrier' : `×${n}`
  return { ...shown(place, n), id: `x${n}`, kind: { is: 'keyed', n }, label, optional: n > ASKED_UP_TO }
}

function shown({ channel }: StepPlace, n: number): Pick<Slot, 'frequencyHz' | 'field' | 'role'> {
  return {
    frequencyHz: n * channel.frequencyHz,
    field: { as: 'figure', unit: 'dBm', min: -200, max: 60 },
    role: null,
  }
}
