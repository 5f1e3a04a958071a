import { type Context, perRadio } from '../../../context'
import type { PowerClaim, RadioSet } from '../../../review'
import { type FieldSpec, planSteps, type Slot, type Step, type StepPlace } from '../../../step'

/** Identity of the station, as readings are stored under it. */
export const LABELS_ID = 'labels'

/** Where an approval number may stand. */
export const APPROVAL_PLACES = [
  { id: 'approval-box', where: 'box' },
  { id: 'approval-body', where: 'body' },
  { id: 'approval-menu', where: 'menu' },
] as const

const wordsLike = (placeholder: string): FieldSpec => ({ as: 'figure', unit: 'words', placeholder })
const WORDS = wordsLike('as printed')
const DERIVED: FieldSpec = { as: 'derived' }

/** One step of the set: what is printed on it and on its papers. */
export const planLabels = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: LABELS_ID,
    roles: {},
    covers: 'set',
    level: 'highest',
    keyed: null,
    durationS: 300,
    slots: place => slotsOf(set, place),
    instruction:
      'Copy what is printed, letter by letter: an approval number that differs between box, ' +
      'body and menu says that they are not of one set.',
    radioSettings: [],
    cautions: [
      'An approval number is looked up at whoever gave it; that it is printed proves nothing. This is no legal advice.',
    ],
  })
})

function slotsOf(set: RadioSet, { channel }: StepPlace): Slot[] {
  const slot = (id: string, kind: Slot['kind'], label: string, field: FieldSpec): Slot => ({
    ...{ id, kind, label, field },
    frequencyHz: channel.frequencyHz,
    role: null,
    optional: true,
  })
  const plain = (id: string, label: string, field = WORDS) => slot(id, { is: id }, label, field)
  return [
    ...APPROVAL_PLACES.map(({ id, where }): Slot => ({
      ...slot(id, { is: 'approval', where }, `Approval number: ${where}`, WORDS),
      optional: where === 'menu',
    })),
    plain('approval', 'Approval number, compared', DERIVED),
    plain('antenna-label', 'On the antenna'),
    plain('battery-label', 'On the battery', wordsLike('7.4 V 1800 mAh 13.32 Wh')),
    ...manualRows(set).map(({ bandId, levelId, label }) =>
      slot(`manual-${bandId}-${levelId}`, { is: 'manual', bandId, levelId }, label, {
        ...{ as: 'figure', unit: 'W', min: 1e-6, max: 1e6 },
        placeholder: 'W',
      }),
    ),
    plain('in-box', 'In the box'),
  ]
}

/** Where the box claims watts: the manual may say others. */
function manualRows({ bands, levels }: RadioSet) {
  return bands.flatMap(band =>
    levels.flatMap(level =>
      isSaid(band.claims[level.id])
        ? [{ bandId: band.id, levelId: level.id, label: `Manual: ${band.name}, ${level.name}` }]
        : [],
    ),
  )
}

function isSaid(claim: PowerClaim | undefined): boolean {
  return claim?.kind === 'watts'
}
