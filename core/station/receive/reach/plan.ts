import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import { planSteps, SETTINGS, type Slot, type Step } from '../../../step'
import { REACH_ID, reachMemo } from './memo'

/** How well somebody was heard: not at all, readable with trouble, readable, without noise. */
export const HOW_WELL = [0, 1, 2, 3] as const
/** The same in words. */
export const HOW_WELL_WORDS: Readonly<Record<(typeof HOW_WELL)[number], string>> = {
  0: 'not heard',
  1: 'heard, hardly readable',
  2: 'readable',
  3: 'without noise',
}

/** One step of the set: how well each signal was heard, at one place and time. */
export const planReach = perRadio((set: RadioSet, context: Context): Step[] => {
  const { signals } = reachMemo(context)
  return planSteps(set, context, {
    stationId: REACH_ID,
    roles: {},
    covers: 'set',
    level: 'lowest',
    keyed: null,
    durationS: 60 + 30 * signals.length,
    slots: ({ channel }) => [
      {
        id: 'against-control',
        kind: { is: 'against-control' },
        label: 'Against the control radio',
        frequencyHz: channel.frequencyHz,
        field: { as: 'derived' },
        role: null,
        optional: true,
      },
      {
        id: 'antenna',
        kind: { is: 'antenna' },
        label: 'With which antenna',
        frequencyHz: channel.frequencyHz,
        field: { as: 'figure', unit: 'words', placeholder: 'supplied' },
        role: null,
        optional: true,
      },
      ...signals.map(({ id, who, where }): Slot => ({
        id: `signal-${id}`,
        kind: { is: 'signal', signalId: id },
        label: [who || 'unnamed', ...(where ? [where] : [])].join(', '),
        frequencyHz: channel.frequencyHz,
        field: { as: 'figure', unit: 'of 3', min: 0, max: 3, placeholder: '0 to 3' },
        role: null,
      })),
    ],
    instruction:
      'All radios at one place, one after another within minutes, held alike. 0 not heard, ' +
      '1 hardly readable, 2 readable, 3 without noise.',
    radioSettings: [SETTINGS.antenna, SETTINGS.dualWatchOff, { id: 'squelch', words: 'Squelch open' }],
    cautions: ['Listen only; whether you may listen there, and tell of it, local law decides.'],
  })
})
