import type { RadioSet } from '#core/review'
import { bindFields, type BoundField, type ChangeOf, type EditField, fieldsFor } from '../fields/editField'

const set = fieldsFor<RadioSet>()

const CARD: readonly EditField<RadioSet>[] = [
  set.text('make', { label: 'Make', change: 'the card: make' }),
  set.text('model', { label: 'Model', change: 'the card: model' }),
  set.text('sample', { label: 'Sample letter', change: 'the card: sample', maxlength: 3 }),
  set.text('serial', { label: 'Serial number', change: 'the card: serial' }),
  set.text('firmware', { label: 'Firmware', change: 'the card: firmware' }),
  set.text('price', { label: 'Price', change: 'the card: price' }),
  set.text('howObtained', {
    label: 'How obtained',
    change: 'the card: how obtained',
    placeholder: 'bought, lent, gift',
  }),
  set.text('inTheBox', { label: 'What is in the box', change: 'the card: what is in the box' }),
  set.choice('kind', {
    label: 'Kind',
    change: 'the kind of radio',
    items: [
      { value: 'handheld', title: 'Handheld' },
      { value: 'mobile', title: 'Mobile' },
    ] as const,
  }),
  set.choice('role', {
    label: 'Part in the review',
    change: 'the part it plays',
    items: [
      { value: 'under-test', title: 'Under test' },
      { value: 'control', title: 'Control, known to be clean' },
    ] as const,
  }),
  set.number('keyDownLimitS', {
    label: 'Longest key-down',
    change: 'the longest key-down',
    unit: 's',
    min: 1,
    max: 3600,
  }),
  set.text('supplyNow', {
    label: 'Battery or supply now',
    change: 'the card: supply',
    placeholder: 'battery full',
  }),
]

const label = fieldsFor<RadioSet['battery']>()
const LABEL = { change: 'the battery label', max: 1000, empty: '' }

const BATTERY: readonly EditField<RadioSet['battery']>[] = [
  label.numberOrNone('voltageV', { ...LABEL, label: 'Voltage', unit: 'V', min: 0.1 }),
  label.numberOrNone('capacityAh', { ...LABEL, label: 'Capacity', unit: 'Ah', min: 0.001 }),
  label.numberOrNone('energyWh', { ...LABEL, label: 'Energy', unit: 'Wh', min: 0.001, max: 100_000 }),
]

/** The fields of a radio’s card. */
export function cardFields(radio: RadioSet, change: ChangeOf<RadioSet>): BoundField[] {
  return bindFields(radio, CARD, change)
}

/** The fields of what its battery says of itself. */
export function batteryFields(radio: RadioSet, change: ChangeOf<RadioSet>): BoundField[] {
  return bindFields(radio.battery, BATTERY, (words, recipe) => change(words, draft => recipe(draft.battery)))
}
