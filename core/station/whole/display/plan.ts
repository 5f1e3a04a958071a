import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import {
  type FieldSpec,
  type PlannedHere,
  planSteps,
  type Roles,
  SETTINGS,
  type Slot,
  type Step,
  type StepPlace,
  TRANSMIT_CAUTIONS,
} from '../../../step'
import { guardOf } from '../../receive/generatorGuard'
import { GENERATOR, ONE_SIGNAL } from '../../receive/paths'
import { HEARING_CAUTIONS, HEARING_SETTINGS } from '../../receive/receiveSettings'
import { reversePowerLocks } from '../../receive/reversePower'

/** Identity of the station, as readings are stored under it. */
export const DISPLAY_ID = 'display'

/** A generator into the radio, for what its display shows of a signal. */
export const DISPLAY_ROLES: Roles = { [GENERATOR]: { ...ONE_SIGNAL[GENERATOR]!, optional: true } }

/** Steps of an S-meter that are looked for; above S9 in dB. */
export const S_STEPS = [
  { id: 's1', s: 1, overDb: 0, title: 'S1' },
  { id: 's3', s: 3, overDb: 0, title: 'S3' },
  { id: 's5', s: 5, overDb: 0, title: 'S5' },
  { id: 's7', s: 7, overDb: 0, title: 'S7' },
  { id: 's9', s: 9, overDb: 0, title: 'S9' },
  { id: 's9-20', s: 9, overDb: 20, title: 'S9 + 20 dB' },
] as const

/** A display needs no more than this, dBm at the socket. */
const HIGHEST_DBM = -40

const BARS: FieldSpec = { as: 'figure', unit: 'bars', min: 0, max: 1000, placeholder: 'bars' }

/** Two steps of the set: what its display shows of its own power, and of a signal. */
export const planDisplay = perRadio((set: RadioSet, context: Context): Step[] => {
  return [...ofPower(set, context), ...ofSignal(set, context)]
})

function ofPower(set: RadioSet, context: Context): Step[] {
  return planSteps(set, context, {
    stationId: DISPLAY_ID,
    roles: {},
    covers: 'set',
    variant: { id: 'power', title: 'of its power' },
    level: 'highest',
    keyed: { seconds: 15 },
    durationS: 90,
    slots: ({ channel }) => [
      derived('follows-power', 'Follows its power', channel.frequencyHz),
      ...set.levels.map(({ id, name }): Slot => ({
        id: `bars-${id}`,
        kind: { is: 'bars', levelId: id },
        label: `Bars keyed, ${name}`,
        frequencyHz: channel.frequencyHz,
        field: BARS,
        role: null,
      })),
    ],
    instruction: 'Key at each level into the load, and count what the display’s bar shows.',
    radioSettings: [SETTINGS.dualWatchOff, { id: 'load', words: 'Load on the socket' }],
    cautions: TRANSMIT_CAUTIONS,
  })
}

function ofSignal(set: RadioSet, context: Context): Step[] {
  return planSteps(set, context, {
    stationId: DISPLAY_ID,
    roles: { [GENERATOR]: ONE_SIGNAL[GENERATOR]! },
    covers: 'set',
    variant: { id: 'signal', title: 'of a signal' },
    level: 'lowest',
    keyed: null,
    durationS: 240,
    slots: (place, _isFirst, here) => signalSlots(place, here, context),
    interlocks: (place, here) =>
      reversePowerLocks({ ...place, set: here.set }, here.chains, [GENERATOR], context),
    instruction:
      'Turn the generator up from nothing until the display just reaches each step, ' +
      'and type its level. A bar without numbers: its lowest and its full deflection stand for S1 and S9.',
    radioSettings: HEARING_SETTINGS,
    cautions: HEARING_CAUTIONS,
  })
}

function signalSlots({ channel }: StepPlace, here: PlannedHere, context: Context): Slot[] {
  const { frequencyHz } = channel
  const guard = guardOf(here, GENERATOR, { frequencyHz, highestAtSocketDbm: HIGHEST_DBM }, context)
  return [
    derived('per-step', 'A step is', frequencyHz),
    ...S_STEPS.map(({ id, s, overDb, title }): Slot => ({
      id,
      kind: { is: 's-step', s, overDb },
      label: `${title} at`,
      frequencyHz,
      field: { as: 'level', guard },
      role: GENERATOR,
      optional: id !== 's9' && id !== 's5',
    })),
  ]
}

function derived(id: string, label: string, frequencyHz: number): Slot {
  return { id, kind: { is: id }, label, frequencyHz, field: { as: 'derived' }, role: null, optional: true }
}
