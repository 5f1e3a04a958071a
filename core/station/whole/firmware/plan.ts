import { type Context, perRadio } from '../../../context'
import { type RadioSet, setShortName } from '../../../review'
import { type FieldSpec, planSteps, type Slot, type Step, type StepPlace } from '../../../step'
import { sameUnit } from './harmonicsOfOther'

/** Identity of the station, as readings are stored under it. */
export const FIRMWARE_ID = 'firmware'

/** Ranges that may be found to transmit. */
export const RANGES = [1, 2, 3, 4, 5, 6] as const

const WORDS: FieldSpec = { as: 'figure', unit: 'words', placeholder: 'as shown' }
const EDGE: FieldSpec = {
  ...{ as: 'figure', unit: 'Hz', bareScale: 1e6, min: 1e3, max: 1e12 },
  placeholder: 'MHz',
}

const NOTED = [
  { id: 'version-before', label: 'Firmware before' },
  { id: 'lock-before', label: 'Locked to, before' },
  { id: 'version-after', label: 'Firmware after a change' },
  { id: 'lock-after', label: 'Locked to, after' },
] as const

/** One step of the set: versions, locks, and the ranges it was found to transmit on. */
export const planFirmware = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: FIRMWARE_ID,
    roles: {},
    covers: 'set',
    level: 'lowest',
    keyed: { seconds: 5 },
    durationS: 600,
    slots: place => [...slotsOf(place), ...againstOthers(set, place, context)],
    instruction:
      'Note version and lock state before anything is changed. ' +
      'Find the ends of each range by keying shortly into a load, lowest power. ' +
      'To compare harmonics of two firmwares, add the same unit as a second sample, with the same serial number.',
    radioSettings: [{ id: 'load', words: 'Load on the socket, nothing radiates' }],
    cautions: [
      'A change of firmware may brick the set, void its approval and change what is lawful with it. ' +
        'Only the owner decides.',
      'That it transmits on a range is no permission to: only into a load, ' +
        'and on the air only what your licence allows. Local rules decide; this is not legal advice.',
      'How a lock is taken off is not said here.',
    ],
  })
})

/** The same unit entered again, with another firmware: its harmonics stand beside these. */
function againstOthers(set: RadioSet, { channel }: StepPlace, { review }: Context): Slot[] {
  return sameUnit(set, review.sets).map(other => ({
    id: `harmonics-${other.id}`,
    kind: { is: 'other-firmware', setId: other.id },
    label: `Harmonics against ${setShortName(other)}`,
    frequencyHz: channel.frequencyHz,
    field: { as: 'derived' },
    role: null,
    optional: true,
  }))
}

function slotsOf({ channel }: StepPlace): Slot[] {
  const slot = (id: string, kind: Slot['kind'], label: string, field: FieldSpec): Slot => ({
    ...{ id, kind, label, field },
    frequencyHz: channel.frequencyHz,
    role: null,
    optional: true,
  })
  return [
    ...NOTED.map(({ id, label }): Slot => ({
      ...slot(id, { is: id }, label, WORDS),
      optional: id !== 'version-before',
    })),
    ...RANGES.flatMap(n => [
      slot(`from-${n}`, { is: 'from', n }, `Range ${n}: transmits from`, EDGE),
      slot(`to-${n}`, { is: 'to', n }, `Range ${n}: to`, EDGE),
      slot(`who-${n}`, { is: 'who', n }, `Range ${n}: who may use it`, { as: 'derived' }),
    ]),
  ]
}
