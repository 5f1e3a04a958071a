import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import {
  type FieldSpec,
  fullSupply,
  planSteps,
  SETTINGS,
  type Slot,
  type SlotKind,
  type Step,
  type StepPlace,
  TRANSMIT_CAUTIONS,
} from '../../../step'
import { BATTERY_ID, dutiesOf } from './memo'

const CURRENT: FieldSpec = { as: 'figure', unit: 'A', min: 1e-6, max: 200, placeholder: 'mA or A' }
const DERIVED: FieldSpec = { as: 'derived' }

/** A step of the whole set: currents, a discharge, and what follows from them. */
export const planBattery = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: BATTERY_ID,
    roles: {},
    covers: 'set',
    level: 'highest',
    keyed: { seconds: 20 },
    durationS: 600,
    slots: place => slotsOf(set, place, context),
    instruction:
      'Ammeter in the supply lead: waiting, receiving, keyed at each level. The discharge takes hours: begin it last.',
    radioSettings: [fullSupply(set), SETTINGS.dualWatchOff, { id: 'load', words: 'Load on the socket' }],
    cautions: [...TRANSMIT_CAUTIONS, ...BATTERY_CAUTIONS],
    needsFullSupply: true,
  })
})

const BATTERY_CAUTIONS: readonly string[] = [
  'Lithium packs: charge attended, never test a swollen or warm one, stop a discharge at the cut-off its maker gives.',
  'A supply in place of the battery: polarity first, then the fuse, then the current limit.',
  'A meter’s shunt drops the voltage while keyed: read the volts at the radio.',
]

interface Row {
  id: string
  kind: SlotKind
  label: string
  field: FieldSpec
  optional?: boolean
}

function slotsOf(set: RadioSet, { channel, level }: StepPlace, context: Context): Slot[] {
  const keyed = set.levels.map(({ id, name }): Row => ({
    id: `transmit-${id}`,
    kind: { is: 'transmit', levelId: id },
    label: set.levels.length > 1 ? `Keyed, ${name}` : 'Keyed',
    field: CURRENT,
    optional: id !== level.id,
  }))
  const rows: Row[] = [
    { id: 'standby', kind: { is: 'standby' }, label: 'Waiting, saver on', field: CURRENT },
    {
      id: 'squelched',
      kind: { is: 'squelched' },
      label: 'Receiving, squelched, saver off',
      field: CURRENT,
      optional: true,
    },
    { id: 'audio', kind: { is: 'audio' }, label: 'Receiving with audio', field: CURRENT },
    ...keyed,
    {
      id: 'supply-v',
      kind: { is: 'voltage' },
      label: 'Volts at the radio, keyed',
      field: { as: 'figure', unit: 'V', min: 0.1, max: 100 },
      optional: true,
    },
    {
      id: 'efficiency',
      kind: { is: 'efficiency' },
      label: 'Efficiency, keyed',
      field: DERIVED,
      optional: true,
    },
    ...(hasBattery(set) ? batteryRows(context) : []),
  ]
  return rows.map(row => ({ ...row, frequencyHz: channel.frequencyHz, role: null }))
}

/** A handheld has one; a mobile where the card says so. */
function hasBattery({ kind, battery }: RadioSet): boolean {
  return kind === 'handheld' || Object.values(battery).some(figure => figure !== null)
}

function batteryRows(context: Context): Row[] {
  const typed = (id: string, label: string, field: FieldSpec): Row => ({
    id,
    kind: { is: id },
    label,
    field,
    optional: true,
  })
  const derived = (id: string, label: string): Row => typed(id, label, DERIVED)
  return [
    typed('discharge-a', 'Discharge: mean current', CURRENT),
    typed('discharge-h', 'Discharge: time to the cut-off', {
      as: 'figure',
      unit: 'h',
      min: 0.001,
      max: 1000,
      placeholder: 'h or min',
    }),
    typed('logged', 'Discharge: by a log', { as: 'figure', unit: 'Ah', min: 0.001, max: 1000 }),
    derived('capacity', 'Capacity'),
    ...dutiesOf(context).map(({ id, title }): Row => ({
      id,
      kind: { is: 'life', duty: id },
      label: `On a charge, ${title}`,
      field: DERIVED,
      optional: true,
    })),
    typed('weight', 'Weight of the pack', { as: 'figure', unit: 'g', min: 1, max: 1e5, placeholder: 'g' }),
    typed('volume', 'Volume of the pack', {
      as: 'figure',
      unit: 'cm³',
      min: 1,
      max: 1e6,
      placeholder: 'cm³',
    }),
    derived('by-weight', 'Energy by weight'),
    derived('by-volume', 'Energy by volume'),
  ]
}
