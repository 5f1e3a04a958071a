import { str } from 'crc-32'

/** How records are kept: raised when that changes. Forms up to 5 were kept without a seal. */
export const STORAGE_FORM = 6

/** A value as it is kept: its text with what the text must be. */
export interface Sealed {
  form: number
  /** Characters of the text. */
  length: number
  /** CRC-32 of the text (ISO 3309). */
  sum: number
  text: string
}

/** What came of opening a record. */
export type Unsealed = { is: 'sound'; value: unknown } | { is: 'missing' | 'damaged' | 'newer' }

export function seal(value: unknown): Sealed {
  const text = JSON.stringify(value)
  return { form: STORAGE_FORM, length: text.length, sum: str(text), text }
}

export function isSealed(record: unknown): record is Sealed {
  return (
    typeof record === 'object' && record !== null && 'form' in record && 'text' in record && 'sum' in record
  )
}

/** The value of a record; one that does not match its own length and checksum is damaged. */
export function unseal(record: unknown): Unsealed {
  if (record === null || record === undefined) return { is: 'missing' }
  if (!isSealed(record) || typeof record.text !== 'string') return { is: 'damaged' }
  if (record.form > STORAGE_FORM) return { is: 'newer' }
  const { text, length, sum } = record
  if (text.length !== length || str(text) !== sum) return { is: 'damaged' }
  try {
    return { is: 'sound', value: JSON.parse(text) as unknown }
  } catch {
    return { is: 'damaged' }
  }
}
