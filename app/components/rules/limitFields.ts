import type { PowerLimit } from '#core/rules'
import { bindFields, type BoundField, type ChangeOf, fieldsFor, type EditField } from '../fields/editField'

type LimitOf<K extends PowerLimit['kind']> = Extract<PowerLimit, { kind: K }>

const CHANGE = 'a limit'
const DB = { change: CHANGE, unit: 'dB', min: -300, max: 300 }

/** A power, shown in µW. */
const power = <T extends { powerW: number }>(label: string): EditField<T> => ({
  as: 'number',
  label,
  change: CHANGE,
  unit: 'µW',
  min: 1e-6,
  max: 1e12,
  of: ({ powerW }) => powerW * 1e6,
  set: (draft, microwatts) => {
    draft.powerW = microwatts / 1e6
  },
})

const slope = fieldsFor<LimitOf<'slope'>>()
const SLOPE: readonly EditField<LimitOf<'slope'>>[] = [
  slope.choice('law', {
    label: 'Law, f in kHz',
    change: CHANGE,
    items: [
      { value: 'linear', title: 'a·(f − b)' },
      { value: 'log', title: 'a·log(f/b)' },
      { value: 'log-square', title: 'a·log(f²/b)' },
    ] as const,
  }),
  slope.number('a', { label: 'a', change: CHANGE }),
  slope.number('b', { label: 'b', change: CHANGE }),
]

const mask = fieldsFor<LimitOf<'mask'>>()
const MASK: readonly EditField<LimitOf<'mask'>>[] = [
  mask.choice('unit', {
    label: 'Distance in',
    change: CHANGE,
    items: [
      { value: 'Hz', title: 'kHz' },
      { value: 'percent', title: '% of the bandwidth' },
    ] as const,
  }),
]

/** The figures of a limit’s own, without those of the limits it holds. `keep` takes the limit as it is then. */
export function limitFields(limit: PowerLimit, keep: (next: PowerLimit) => void): BoundField[] {
  /** Changes a copy: a limit is handed up whole. */
  const onCopy =
    <T extends PowerLimit>(it: T): ChangeOf<T> =>
    (_label, recipe) => {
      const next = { ...it }
      recipe(next)
      keep(next)
    }
  const bound = <T extends PowerLimit>(it: T, fields: readonly EditField<T>[]) =>
    bindFields(it, fields, onCopy(it))
  switch (limit.kind) {
    case 'absolute':
      return bound(limit, [power('Power')])
    case 'not-below':
      return bound(limit, [power('Nothing asked below')])
    case 'relative':
      return bound(limit, [
        fieldsFor<typeof limit>().number('attenuationDb', { label: 'Below the carrier', ...DB }),
      ])
    case 'offset-plus-log-power':
      return bound(limit, [fieldsFor<typeof limit>().number('offsetDb', { label: 'Offset', ...DB })])
    case 'slope':
      return bound(limit, SLOPE)
    case 'mask':
      return bound(limit, MASK)
    default:
      return []
  }
}
