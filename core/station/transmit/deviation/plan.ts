import { type Context, perRadio } from '../../../context'
import type { ParseFigureOptions } from '../../../quantity'
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
export const DEVIATION_ID = 'deviation'

/** What is read: the id of the slot, its label, whether it may stay empty. */
const SLOTS = [
  { id: 'tone', label: '1 kHz at normal level', optional: false },
  { id: 'loudest', label: 'Loudest voice or whistle', optional: false },
  { id: 'tone-squelch', label: 'Tone squelch alone', optional: true },
  { id: 'null-tone', label: 'Tone at the first carrier null', optional: true },
] as const

/** Swings are typed in kHz, up to what no voice channel holds. */
const SWING: ParseFigureOptions = { unit: 'Hz', bareScale: 1000, min: 0, max: 100_000 }
const TONE: ParseFigureOptions = { unit: 'Hz', min: 50, max: 10_000 }

/** A step on every FM channel chosen, at each channel spacing the set can be switched to. */
export const planDeviation = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: DEVIATION_ID,
    roles: RECEIVER_ROLES,
    band: ({ mode }) => mode === 'FM',
    level: 'lowest',
    perSpacing: true,
    keyed: { seconds: 30 },
    durationS: 240,
    slots: slotsOf,
    instruction:
      'Low power is enough. Feed 1 kHz at normal level, then let somebody shout or whistle into it.',
    radioSettings: [SETTINGS.toneOff, SETTINGS.timeOutOff],
    cautions: [
      ...ANALYSER_CAUTIONS,
      ...TRANSMIT_CAUTIONS,
      'Deviation is set inside the radio: leave it to the licensed or competent; adjusting may void its approval.',
    ],
  })
})

function slotsOf({ channel: { frequencyHz } }: StepPlace): Slot[] {
  return SLOTS.map(({ id, label, optional }) => ({
    id,
    kind: { is: id },
    label,
    frequencyHz,
    role: INSTRUMENT_ROLE,
    field:
      id === 'null-tone'
        ? { as: 'figure', ...TONE, placeholder: 'Hz' }
        : { as: 'figure', ...SWING, placeholder: 'kHz' },
    ...(optional && { optional }),
  }))
}
