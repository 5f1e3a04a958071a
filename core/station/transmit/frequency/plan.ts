import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import {
  ANALYSER_CAUTIONS,
  INSTRUMENT_ROLE,
  planSteps,
  SETTINGS,
  type Slot,
  type Step,
  type StepPlace,
  TRANSMIT_CAUTIONS,
} from '../../../step'
import { RECEIVER_ROLES } from '../receiverRole'

/** Identity of the station, as readings are stored under it. */
export const FREQUENCY_ID = 'frequency'

/** One step a channel at low power; the very first of a set is read cold. */
export const planFrequency = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: FREQUENCY_ID,
    roles: RECEIVER_ROLES,
    level: 'lowest',
    keyed: { seconds: 20 },
    durationS: 300,
    firstIsCold: true,
    slots: (place, isFirst) => [
      frequencySlot(place, { id: 'cold', label: 'Cold, right after switching on', optional: !isFirst }),
      frequencySlot(place, { id: 'warm', label: 'Warm, after ten minutes', optional: false }),
    ],
    instruction: 'No modulation. Read the carrier’s frequency cold, then again once the radio is warm.',
    radioSettings: [SETTINGS.toneOff, SETTINGS.microphoneOut],
    cautions: [...ANALYSER_CAUTIONS, ...TRANSMIT_CAUTIONS],
  })
})

function frequencySlot(
  { channel: { frequencyHz } }: StepPlace,
  moment: { id: 'cold' | 'warm'; label: string; optional: boolean },
): Slot {
  return {
    id: moment.id,
    kind: { is: moment.id },
    label: moment.label,
    frequencyHz,
    role: INSTRUMENT_ROLE,
    field: {
      as: 'figure',
      unit: 'Hz',
      bareScale: 1e6,
      aroundHz: frequencyHz,
      min: 1e5,
      max: 1e11,
      placeholder: 'MHz or +Hz',
    },
    optional: moment.optional,
  }
}
