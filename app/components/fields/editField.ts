/** What every field of a form says: its label, and what undo calls a change of it. */
interface Named {
  label: string
  change: string
}

/** How a number is typed. */
interface Typed {
  unit?: string
  min?: number
  max?: number
  /** In Hz; typed and shown in MHz. */
  frequency?: boolean
}

/** How a text is typed. */
interface Worded {
  /** An empty text is no change. */
  required?: boolean
  placeholder?: string
  maxlength?: number
}

interface TextField<T> extends Named, Worded {
  as: 'text'
  of: (it: T) => string
  set: (draft: T, value: string) => void
}

interface NumberField<T> extends Named, Typed {
  as: 'number'
  of: (it: T) => number
  set: (draft: T, value: number) => void
}

interface NumberOrNoneField<T> extends Named, Typed {
  as: 'number-or-none'
  /** What stands there while there is none. */
  empty: string
  of: (it: T) => number | null
  set: (draft: T, value: number | null) => void
}

interface ChoiceField<T> extends Named {
  as: 'choice'
  items: readonly { value: unknown; title: string }[]
  of: (it: T) => unknown
  set: (draft: T, value: unknown) => void
}

/** A field of a form that edits one thing: how it is read off the thing, and how a draft of it is changed. */
export type EditField<T> = TextField<T> | NumberField<T> | NumberOrNoneField<T> | ChoiceField<T>

type KeysOf<T, V> = { [K in keyof T]-?: [T[K], V] extends [V, T[K]] ? K : never }[keyof T]

/** Fields that read and write one property of a thing; `also` changes what hangs on it. */
export function fieldsFor<T extends object>() {
  type Also = (draft: T) => void
  const property = <V>(key: KeysOf<T, V>, also?: Also) => ({
    of: (it: T) => it[key] as V,
    set: (draft: T, value: V) => {
      Object.assign(draft, { [key]: value })
      also?.(draft)
    },
  })
  return {
    text: (key: KeysOf<T, string>, spec: Named & Worded): EditField<T> => ({
      as: 'text',
      ...spec,
      ...property<string>(key),
    }),
    number: (key: KeysOf<T, number>, spec: Named & Typed, also?: Also): EditField<T> => ({
      as: 'number',
      ...spec,
      ...property<number>(key, also),
    }),
    numberOrNone: (key: KeysOf<T, number | null>, spec: Named & Typed & { empty: string }): EditField<T> => ({
      as: 'number-or-none',
      ...spec,
      ...property<number | null>(key),
    }),
    choice: <K extends keyof T>(key: K, spec: Choosing<T[K]>): EditField<T> =>
      choice<T, T[K]>(
        spec,
        it => it[key],
        (draft, value) => {
          draft[key] = value
        },
      ),
  }
}

/** A choice of a few. */
type Choosing<V> = Named & { items: readonly { value: V; title: string }[] }

/** A field whose value is one of a few, read and written by hand. */
export function choice<T, V>(
  spec: Choosing<V>,
  read: (it: T) => V,
  write: (draft: T, value: V) => void,
): EditField<T> {
  return {
    ...spec,
    as: 'choice',
    of: read,
    set: (draft, value) => {
      const chosen = spec.items.find(item => item.value === value)
      if (chosen) write(draft, chosen.value)
    },
  }
}

/** A field with what it shows now, and what keeps a new value. */
export type BoundField = { key: string; label: string } & (
  | (Pick<Worded, 'placeholder' | 'maxlength'> & {
      as: 'text'
      value: string
      keep: (value: string) => void
    })
  | { as: 'number'; value: number | null; typed: TypedProps; keep: (value: number | null) => void }
  | { as: 'choice'; value: unknown; items: ChoiceField<unknown>['items']; keep: (value: unknown) => void }
)

/** As the field for numbers takes them. */
interface TypedProps extends Typed {
  optional: boolean
  emptyWords: string
}

/** Changes one thing as one undoable step of that label. */
export type ChangeOf<T> = (label: string, recipe: (draft: T) => void) => void

/** The fields of a form, filled from the thing they edit. */
export function bindFields<T>(it: T, fields: readonly EditField<T>[], change: ChangeOf<T>): BoundField[] {
  return fields.map(field => bind(it, field, change))
}

function bind<T>(it: T, field: EditField<T>, change: ChangeOf<T>): BoundField {
  const { label } = field
  const key = `${field.as}:${label}`
  switch (field.as) {
    case 'text': {
      const keep = (value: string) => {
        if (value !== '' || !field.required) change(field.change, draft => field.set(draft, value))
      }
      const { placeholder, maxlength } = field
      return { key, label, as: 'text', value: field.of(it), placeholder, maxlength, keep }
    }
    case 'choice': {
      const keep = (value: unknown) => change(field.change, draft => field.set(draft, value))
      return { key, label, as: 'choice', value: field.of(it), items: field.items, keep }
    }
    case 'number': {
      const keep = (value: number | null) => {
        if (value !== null) change(field.change, draft => field.set(draft, value))
      }
      return { key, label, as: 'number', value: field.of(it), typed: typedOf(field, null), keep }
    }
    case 'number-or-none': {
      const keep = (value: number | null) => change(field.change, draft => field.set(draft, value))
      return { key, label, as: 'number', value: field.of(it), typed: typedOf(field, field.empty), keep }
    }
  }
}

function typedOf({ unit, min, max, frequency }: Typed, empty: string | null): TypedProps {
  return { unit, min, max, frequency, optional: empty !== null, emptyWords: empty ?? '' }
}
