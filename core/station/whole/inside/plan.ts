import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import { type FieldSpec, planSteps, type Slot, type Step, TRANSMIT_CAUTIONS } from '../../../step'
import { adjustables } from './adjustable'
import { INSIDE_ID, insideMemo } from './memo'

/** Moments of an adjustment. */
export const MOMENTS_INSIDE = [
  { id: 'before', title: 'before' },
  { id: 'adjusted', title: 'while adjusting' },
  { id: 'after', title: 'after' },
] as const
/** A moment of an adjustment. */
export type MomentInside = (typeof MOMENTS_INSIDE)[number]['id']

const PRESETS = [1, 2, 3, 4] as const
const WORDS: FieldSpec = { as: 'figure', unit: 'words', placeholder: 'VR3, deviation' }
const DEPTH: FieldSpec = { as: 'figure', unit: '%', min: 0, max: 200, placeholder: '%' }

/** One step of a set that somebody may adjust: pairs of the other stations’ readings, AM depth typed, presets named. */
export const planInside = perRadio((set: RadioSet, context: Context): Step[] => {
  if (insideMemo(set, context) === null) return []
  return planSteps(set, context, {
    stationId: INSIDE_ID,
    roles: {},
    covers: 'set',
    level: 'highest',
    keyed: { seconds: 60 },
    durationS: 1200,
    slots: ({ channel }) => {
      const slot = (id: string, kind: Slot['kind'], label: string, field: FieldSpec): Slot => ({
        ...{ id, kind, label, field, role: null, optional: true },
        frequencyHz: channel.frequencyHz,
      })
      const pairs = adjustables(set, context).flatMap(({ id, what, band }) =>
        MOMENTS_INSIDE.map(moment =>
          slot(
            `${id}-${moment.id}`,
            { is: 'paired', of: id, moment: moment.id },
            `${what === 'power' ? 'Power' : 'Deviation'}, ${band.name}, ${moment.title}`,
            { as: 'derived' },
          ),
        ),
      )
      const depths = set.bands.some(({ mode }) => mode === 'AM')
        ? MOMENTS_INSIDE.map(moment =>
            slot(`depth-${moment.id}`, { is: 'depth' }, `AM depth ${moment.title}`, DEPTH),
          )
        : []
      const presets = PRESETS.map(n =>
        slot(`preset-${n}`, { is: 'preset', n }, `Preset ${n} that was turned`, WORDS),
      )
      return [...pairs, ...depths, ...presets]
    },
    instruction:
      'Read power and deviation at their own stations: ' +
      'what stood there when it was begun is “before”; what is read from now on counts as adjusting, then as after.',
    radioSettings: [{ id: 'load', words: 'Load on the socket' }],
    cautions: INSIDE_CAUTIONS,
  })
})

const INSIDE_CAUTIONS: readonly string[] = [
  'High voltages at radio frequency stand inside a set that is keyed: one hand, insulated tools, no rings.',
  'Adjusting may void approval and warranty, and what is lawful with the set. ' +
    'Only for the licensed or competent; local rules decide.',
  ...TRANSMIT_CAUTIONS,
]
