import { coaxLossDb, type Part, type PartKind, type PartLoss } from '#core/chain'
import {
  bindFields,
  type BoundField,
  type ChangeOf,
  choice,
  type EditField,
  fieldsFor,
} from '../fields/editField'

const KINDS: { value: PartKind; title: string }[] = [
  { value: 'jumper', title: 'Jumper' },
  { value: 'pad', title: 'Pad' },
  { value: 'adapter', title: 'Adapter' },
  { value: 'load', title: 'Load' },
  { value: 'sampler', title: 'Through-line sampler' },
  { value: 'coupler', title: 'Directional coupler' },
  { value: 'combiner', title: 'Combiner' },
  { value: 'filter', title: 'Filter' },
  { value: 'dc-block', title: 'DC block' },
]
const LOSSES: { value: PartLoss['kind']; title: string }[] = [
  { value: 'figure', title: 'One figure' },
  { value: 'table', title: 'Table over frequency' },
  { value: 'coax', title: 'Law of a cable' },
]
const KNOWN: { value: Part['lossUncertainty']['distribution']; title: string }[] = [
  { value: 'rectangular', title: '±a from a data sheet' },
  { value: 'normal', title: 'U (k = 2) from a certificate' },
]

/** Where a loss that is one figure now is read off, Hz. */
const ONE_FIGURE_AT_HZ = 100e6

const field = fieldsFor<Part>()
const RANGE = { change: 'a usable range', frequency: true, empty: 'not stated' }
const WATTS = { unit: 'W', min: 0.001, max: 100_000 }

const WHAT_IT_IS: readonly EditField<Part>[] = [
  field.text('name', { label: 'Name', change: 'a part’s name', required: true }),
  field.text('note', { label: 'Connectors, type', change: 'a part’s note' }),
  field.choice('kind', { label: 'Kind', change: 'a part’s kind', items: KINDS }),
  field.number('vswr', { label: 'VSWR', change: 'a VSWR', min: 1, max: 1000 }),
  field.numberOrNone('ratingW', {
    label: 'Power rating',
    change: 'a power rating',
    ...WATTS,
    empty: 'not known',
  }),
  field.numberOrNone('fromHz', { label: 'Usable from', ...RANGE }),
  field.numberOrNone('toHz', { label: 'Usable to', ...RANGE }),
]

const WHAT_IT_BEARS: readonly EditField<Part>[] = [
  field.numberOrNone('zeroRatingAtC', {
    label: 'No rating left at',
    change: 'a derating',
    unit: '°C',
    min: 26,
    max: 1000,
    empty: 'not derated',
  }),
  field.numberOrNone('peakW', {
    label: 'Most it may see',
    change: 'the most a part may see',
    ...WATTS,
    empty: 'as rated',
  }),
]

/** The fields of a part, by how its loss is given and known. */
export function partFields(part: Part, change: ChangeOf<Part>): BoundField[] {
  const fields = [...WHAT_IT_IS, lossKind(part), ...lossFields(part), ...knownFields(part), ...WHAT_IT_BEARS]
  return bindFields(part, fields, change)
}

function lossKind({ kind }: Part): EditField<Part> {
  return choice(
    { label: kind === 'load' ? 'Loss to its tap' : 'Loss', change: 'how the loss is given', items: LOSSES },
    it => it.loss.kind,
    (draft, chosen) => {
      if (chosen !== draft.loss.kind) draft.loss = lossOfKind(chosen, draft.loss)
    },
  )
}

/** A loss given in another way that keeps the figure as far as it can. */
function lossOfKind(kind: PartLoss['kind'], before: PartLoss): PartLoss {
  const lossDb = Number(oneFigureDb(before).toFixed(3))
  if (kind === 'figure') return { kind, lossDb }
  if (kind === 'table') return { kind, points: [{ frequencyHz: ONE_FIGURE_AT_HZ, lossDb }] }
  return { kind, lengthM: 1, rootDbPer100M: 14, linearDbPer100M: 2 }
}

function oneFigureDb(loss: PartLoss): number {
  if (loss.kind === 'figure') return loss.lossDb
  return loss.kind === 'table' ? (loss.points[0]?.lossDb ?? 0) : coaxLossDb(loss, ONE_FIGURE_AT_HZ)
}

function lossFields({ loss }: Part): EditField<Part>[] {
  if (loss.kind === 'figure') return [LOSS]
  if (loss.kind === 'table') return []
  const law = { change: 'the law of a cable', unit: 'dB', max: 1000 }
  return [
    coaxNumber('lengthM', { label: 'Length', change: 'a length', unit: 'm', min: 0, max: 10_000 }),
    coaxNumber('rootDbPer100M', { label: '√f term, 100 m at 100 MHz', min: 0, ...law }),
    coaxNumber('linearDbPer100M', { label: 'f term, 100 m at 100 MHz', min: -100, ...law }),
  ]
}

const LOSS: EditField<Part> = {
  as: 'number',
  label: 'Loss',
  change: 'a loss',
  unit: 'dB',
  min: -60,
  max: 200,
  of: ({ loss }) => (loss.kind === 'figure' ? loss.lossDb : 0),
  set: (draft, lossDb) => {
    draft.loss = { kind: 'figure', lossDb }
  },
}

/** A figure of a cable’s law. */
function coaxNumber(
  key: 'lengthM' | 'rootDbPer100M' | 'linearDbPer100M',
  typed: { label: string; change: string; unit: string; min: number; max: number },
): EditField<Part> {
  return {
    as: 'number',
    ...typed,
    of: ({ loss }) => (loss.kind === 'coax' ? loss[key] : 0),
    set: (draft, value) => {
      if (draft.loss.kind === 'coax') draft.loss[key] = value
    },
  }
}

function knownFields({ lossUncertainty }: Part): EditField<Part>[] {
  const change = 'how well a loss is known'
  const halfWidth = { change, unit: 'dB', min: 0, max: 60 }
  const overFrequency: EditField<Part> = {
    as: 'number-or-none',
    label: 'of which over frequency ±',
    ...halfWidth,
    empty: 'not known: all of it',
    of: it => it.lossUncertainty.flatnessDb,
    set: (draft, value) => {
      draft.lossUncertainty.flatnessDb = value
    },
  }
  return [
    {
      as: 'number',
      label: 'Loss known to ±',
      ...halfWidth,
      of: it => it.lossUncertainty.halfWidthDb,
      set: (draft, value) => {
        draft.lossUncertainty.halfWidthDb = value
        draft.lossUncertainty.assumed = false
      },
    },
    choice(
      { label: 'Known from', change: 'where a loss is known from', items: KNOWN },
      it => it.lossUncertainty.distribution,
      (draft, value) => {
        draft.lossUncertainty.distribution = value
      },
    ),
    ...(lossUncertainty.distribution === 'rectangular' ? [overFrequency] : []),
    {
      as: 'number',
      label: 'and of the loss itself ±',
      change,
      unit: '%',
      min: 0,
      max: 100,
      of: it => it.lossUncertainty.shareOfLoss * 100,
      set: (draft, value) => {
        draft.lossUncertainty.shareOfLoss = value / 100
      },
    },
  ]
}
