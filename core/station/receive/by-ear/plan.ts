import { type Context, perRadio } from '../../../context'
import { type RadioSet, setShortName } from '../../../review'
import { planSteps, type Slot, type Step } from '../../../step'
import { BY_EAR_ID } from './memo'

/** Slot of what is kept to listen to. */
export const CLIPS_SLOT = 'clips'

/** One step of the set: its clips, how it sounds in words, and against each radio that has clips too. */
export const planByEar = perRadio((set: RadioSet, context: Context): Step[] => {
  const { sets } = context.review
  const withClips = setsWithClips(context)
  return planSteps(set, context, {
    stationId: BY_EAR_ID,
    roles: {},
    covers: 'set',
    level: 'lowest',
    keyed: null,
    durationS: 240,
    slots: ({ channel }) => {
      const slot = (rest: Pick<Slot, 'id' | 'kind' | 'label' | 'field' | 'optional'>): Slot => ({
        optional: true,
        ...rest,
        frequencyHz: channel.frequencyHz,
        role: null,
      })
      return [
        slot({
          ...{ id: CLIPS_SLOT, kind: { is: 'clips' }, label: 'Clips kept', field: { as: 'derived' } },
          optional: false,
        }),
        slot({
          id: 'sound',
          kind: { is: 'sound' },
          label: 'How it sounds',
          field: { as: 'figure', unit: 'words', placeholder: 'thin, clear, hums' },
        }),
        ...sets
          .filter(other => other.id !== set.id && withClips.has(other.id))
          .map(other =>
            slot({
              id: `against-${other.id}`,
              kind: { is: 'blind', setId: other.id },
              label: `Blind, against ${setShortName(other)}`,
              field: { as: 'derived' },
            }),
          ),
      ]
    },
    instruction:
      'The same words by the same voice for every radio: record what it hears of a steady signal, ' +
      'or how it sounds on the air in another receiver. Then listen blind.',
    radioSettings: [],
    cautions: [
      'Whether what is heard on the air may be recorded and published, local law decides; ' +
        'record your own transmissions, or ask.',
    ],
  })
})

function setsWithClips(context: Context): ReadonlySet<string> {
  return new Set(context.review.clips.map(({ setId }) => setId))
}
