import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import { type LevelGuard, planSteps, type Slot, type Step } from '../../../step'
import { guardOf } from '../generatorGuard'
import { GENERATOR, ONE_SIGNAL } from '../paths'
import { HEARING_CAUTIONS, HEARING_SETTINGS } from '../receiveSettings'
import { reversePowerLocks } from '../reversePower'

/** Identity of the station, as readings are stored under it. */
export const SQUELCH_ID = 'squelch'

const HIGHEST_DBM = -50

/** Settings of a squelch that are read, the first one asked for; rounds of each. */
export const SQUELCH_SETTINGS = [
  { id: 'threshold', title: 'Where the noise just goes', rounds: 3 },
  { id: 'tight', title: 'Tightest', rounds: 1 },
  { id: 'automatic', title: 'Automatic', rounds: 1 },
] as const
/** A setting of a squelch. */
export type SquelchSetting = (typeof SQUELCH_SETTINGS)[number]['id']

/** One step a channel: up until it opens, down until it closes, in rounds. */
export const planSquelch = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: SQUELCH_ID,
    roles: ONE_SIGNAL,
    level: 'lowest',
    keyed: null,
    durationS: 240,
    slots: (place, _isFirst, here) => {
      const { frequencyHz } = place.channel
      const guard = guardOf(here, GENERATOR, { frequencyHz, highestAtSocketDbm: HIGHEST_DBM }, context)
      return slotsOf(frequencyHz, guard)
    },
    interlocks: (place, here) =>
      reversePowerLocks({ ...place, set: here.set }, here.chains, [GENERATOR], context),
    instruction:
      'Up in 1 dB steps, 0.5 near the edge, two seconds at each, until it opens; down until it closes. Three rounds.',
    radioSettings: [...HEARING_SETTINGS, { id: 'threshold', words: 'Squelch where the noise just goes' }],
    cautions: HEARING_CAUTIONS,
  })
})

function slotsOf(frequencyHz: number, guard: LevelGuard): Slot[] {
  const derived = (id: 'hysteresis' | 'opens'): Slot => ({
    id,
    kind: { is: id },
    label: id === 'hysteresis' ? 'Hysteresis' : 'Opens at',
    frequencyHz,
    field: { as: 'derived' },
    role: null,
    optional: id === 'opens',
  })
  return [
    derived('hysteresis'),
    derived('opens'),
    {
      id: 'step',
      kind: { is: 'step' },
      label: 'Step near the edge',
      frequencyHz,
      field: { as: 'figure', unit: 'dB', min: 0.01, max: 10, placeholder: '0.5 dB' },
      role: null,
      optional: true,
    },
    ...SQUELCH_SETTINGS.flatMap(({ id, title, rounds }) =>
      Array.from({ length: rounds }, (_unused, i) => i + 1).flatMap(round =>
        (['open', 'close'] as const).map((edge): Slot => ({
          id: `${id}-${edge}-${round}`,
          kind: { is: edge, setting: id, round },
          label: `${title}: ${edge === 'open' ? 'opens' : 'closes'}${rounds > 1 ? `, round ${round}` : ''}`,
          frequencyHz,
          field: { as: 'level', guard },
          role: GENERATOR,
          optional: id !== 'threshold' || round > 1,
        })),
      ),
    ),
  ]
}
