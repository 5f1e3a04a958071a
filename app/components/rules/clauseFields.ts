import {
  isPowerLimit,
  type LimitClause,
  PLAIN_LIMIT,
  QUANTITIES,
  type Quantity,
  quantityWords,
} from '#core/rules'
import {
  bindFields,
  type BoundField,
  type ChangeOf,
  choice,
  type EditField,
  fieldsFor,
} from '../fields/editField'

const field = fieldsFor<LimitClause>()

/** Quantities whose limit can only be a power. */
const POWER_ONLY: readonly Quantity[] = ['unwanted', 'adjacent-power']

const HEAD: readonly EditField<LimitClause>[] = [
  field.text('clause', { label: 'Clause', change: 'a clause’s name' }),
  choice(
    {
      label: 'About',
      change: 'what a clause is about',
      items: QUANTITIES.map(value => ({ value, title: quantityWords[value] })),
    },
    it => it.about,
    (draft, about) => {
      draft.about = about
      if (POWER_ONLY.includes(about) !== isPowerLimit(draft.limit)) draft.limit = firstLimit(about)
    },
  ),
  field.choice('confidence', {
    label: 'How sure',
    change: 'how sure a clause is',
    items: [
      { value: 'H', title: 'H, sure' },
      { value: 'M', title: 'M, likely' },
      { value: 'L', title: 'L, vague: switched off' },
    ] as const,
  }),
  field.choice('basis', {
    label: 'Counted',
    change: 'where a limit is counted',
    items: [
      { value: 'conducted', title: 'at the socket' },
      { value: 'erp', title: 'radiated (ERP)' },
    ] as const,
  }),
]

function firstLimit(about: Quantity): LimitClause['limit'] {
  if (POWER_ONLY.includes(about)) return PLAIN_LIMIT
  return { kind: 'at-most', value: 1, unit: about === 'carrier-power' ? 'W' : 'dB' }
}

const NOTE: readonly EditField<LimitClause>[] = [
  field.text('note', {
    label: 'Note; {power}, {carrier} and {limit} are filled in',
    change: 'a clause’s note',
    maxlength: 2000,
  }),
]

/** What a clause is: its name, what it is about, how sure it is, where it counts. */
export function clauseFields(clause: LimitClause, change: ChangeOf<LimitClause>): BoundField[] {
  return bindFields(clause, HEAD, change)
}

/** The note of a clause. */
export function clauseNote(clause: LimitClause, change: ChangeOf<LimitClause>): BoundField[] {
  return bindFields(clause, NOTE, change)
}
