import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import {
  ANALYSER_CAUTIONS,
  type FieldSpec,
  fullSupply,
  INSTRUMENT_ROLE,
  planSteps,
  type Roles,
  SETTINGS,
  type Slot,
  type SlotKind,
  type Step,
  type StepPlace,
  TRANSMIT_CAUTIONS,
} from '../../../step'

/** Identity of the station, as readings are stored under it. */
export const TWO_TONE_ID = 'two-tone'

/** What two tones may be read with. */
export const TWO_TONE_ROLES: Roles = {
  [INSTRUMENT_ROLE]: {
    title: 'Meter or receiver',
    instruments: ['power-meter', 'receiver', 'spectrum-analyser'],
    signal: 'from-radio',
  },
}

/** Orders of the intermodulation products that are read. */
export const PRODUCT_ORDERS = [3, 5, 7] as const

/** Slot of a product of intermodulation. */
export function productSlot(order: number): string {
  return `imd${order}`
}

/** A step on every SSB channel chosen. */
export const planTwoTone = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: TWO_TONE_ID,
    roles: TWO_TONE_ROLES,
    band: ({ mode }) => mode === 'SSB',
    level: 'highest',
    keyed: { seconds: 20 },
    durationS: 600,
    needsFullSupply: true,
    slots: slotsOf,
    instruction:
      'Raise both tones until the power stops growing, go back a little, and read power and products.',
    radioSettings: [fullSupply(set), SETTINGS.usb],
    cautions: [
      ...ANALYSER_CAUTIONS,
      ...TRANSMIT_CAUTIONS,
      'Two tones are a heavy load on the final stage: key briefly, and rest as long as you keyed.',
    ],
  })
})

function slotsOf({ channel: { frequencyHz } }: StepPlace): Slot[] {
  const slot = (
    id: string,
    label: string,
    spec: { kind: SlotKind; field: FieldSpec; optional?: boolean },
  ): Slot => ({ id, label, frequencyHz, role: INSTRUMENT_ROLE, ...spec })
  const below: FieldSpec = { as: 'figure', unit: 'dB', min: 0, max: 120, placeholder: 'dB below' }
  return [
    slot('pep', 'Peak envelope power', { kind: { is: 'pep' }, field: { as: 'level' } }),
    slot('mean', 'Mean power', { kind: { is: 'mean' }, field: { as: 'level' }, optional: true }),
    ...PRODUCT_ORDERS.map(order =>
      slot(productSlot(order), `IMD${order}, below either tone`, {
        kind: { is: 'product', order },
        field: below,
        optional: order > 3,
      }),
    ),
    slot('imbalance', 'Upper against lower tone', {
      kind: { is: 'imbalance' },
      field: { as: 'figure', unit: 'dB', min: -20, max: 20, placeholder: 'dB' },
      optional: true,
    }),
  ]
}
