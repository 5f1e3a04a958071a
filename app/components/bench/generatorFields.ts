import type { SignalGenerator } from '#core/chain'
import { choice, type EditField, fieldsFor } from '../fields/editField'
import { HALF_WIDTH, isStated, REFERENCE, WATTS } from './instrumentRanges'

const generator = fieldsFor<SignalGenerator>()

const GENERATOR_LEVEL = { unit: 'dBm', min: -170, max: 60, change: 'a generator’s range of levels' }
/** What is asked of a signal generator. */
export const GENERATOR: readonly EditField<SignalGenerator>[] = [
  generator.number('lowestDbm', { label: 'Lowest level', ...GENERATOR_LEVEL }),
  generator.number('highestDbm', { label: 'Highest level', ...GENERATOR_LEVEL }),
  generator.number(
    'levelAccuracyDb',
    { label: 'Level accuracy ±', change: 'an accuracy', ...HALF_WIDTH },
    isStated,
  ),
  generator.number('resolution', {
    label: 'Step of its level',
    change: 'a level step',
    unit: 'dB',
    min: 0,
    max: 20,
  }),
  generator.choice('setIn', {
    label: 'Set in',
    change: 'the unit of a generator',
    items: [
      { value: 'dBm', title: 'dBm' },
      { value: 'µV', title: 'µV' },
      { value: 'dBµV', title: 'dBµV' },
    ] as const,
  }),
  generator.choice('voltageIs', {
    label: 'A voltage on it is',
    change: 'what a generator’s voltage means',
    items: [
      { value: 'pd', title: 'across the load (pd)' },
      { value: 'emf', title: 'behind its 50 Ω (emf)' },
    ] as const,
  }),
  generator.numberOrNone('reverseW', {
    label: 'Reverse power it survives',
    change: 'a reverse power',
    empty: 'not said: 10 mW assumed',
    ...WATTS,
  }),
  generator.choice('channels', {
    label: 'Outputs',
    change: 'the outputs of a generator',
    items: [
      { value: 1, title: 'one' },
      { value: 2, title: 'two, each its own' },
    ] as const,
  }),
  generator.choice('build', {
    label: 'Noise, where its table is empty, as',
    change: 'the kind of a generator',
    items: [
      { value: 'pocket', title: 'a pocket one: −95 dBc/Hz at 20 kHz' },
      { value: 'laboratory', title: 'a laboratory one: −120 dBc/Hz at 20 kHz' },
    ] as const,
  }),
  choice<SignalGenerator, string>(
    {
      label: 'Modulates',
      change: 'the modulations of a generator',
      items: [
        { value: 'AM,FM', title: 'AM and FM' },
        { value: 'FM', title: 'FM' },
        { value: 'AM', title: 'AM' },
        { value: '', title: 'not at all' },
      ],
    },
    it => [...it.modulations].sort().join(','),
    (draft, value) => {
      draft.modulations = value === '' ? [] : (value.split(',') as SignalGenerator['modulations'])
    },
  ),
  {
    as: 'text',
    label: 'Tones of its own, Hz',
    change: 'the tones of a generator',
    placeholder: '400, 1000',
    of: it => it.tonesHz.join(', '),
    set: (draft, text) => {
      draft.tonesHz = text
        .split(/[,;\s]+/)
        .map(Number)
        .filter(hz => hz > 0 && hz < 1e5)
        .slice(0, 40)
    },
  },
  generator.numberOrNone('referencePpm', REFERENCE),
]
